import { expect, it } from 'vitest'
import { emptyReview, namesInTexts, type Review } from '.'

it('texts that hold the name of a person, or of somebody who was asked, are found wherever they were written', () => {
  const review: Review = {
    ...emptyReview('r'),
    people: [{ id: 'p-1', name: 'M. Osei' }, { id: 'p-2' }],
    contacts: [{ id: 'c', sourceId: 's', who: 'R. Ahola', way: '', what: 'Ahola knew of none' }],
    departures: { 'criterion:c': 'as Osei said, the ages were mixed' },
    sources: [{ id: 's', kind: 'people', name: 'two acousticians', why: 'R. Ahola advises schools' }],
    account: {
      voice: 'we',
      edited: { where: [{ type: 'paragraph', content: [{ type: 'text', text: 'Oseite is a mineral.' }] }] },
    },
  }
  expect(namesInTexts(review)).toEqual([
    { name: 'R. Ahola', part: 'sources', text: 'R. Ahola advises schools' },
    { name: 'M. Osei', part: 'reasons for departures', text: 'as Osei said, the ages were mixed' },
  ])
  expect(namesInTexts({ ...review, people: [], contacts: [] })).toEqual([])
})
