import { expect, it } from 'vitest'
import { emptyReview, type Review } from '../../review'
import { addHeadingSeen, type HeadingSeen } from './note-heading'

const seen: HeadingSeen = {
  sourceId: 's',
  page: { label: 'Hall noise', broader: [], narrower: [], related: [], usedFor: [] },
  from: 'record',
  conceptId: 'c',
}
const done = (review: Review) =>
  addHeadingSeen({ review, now: '2026-11-30T09:00:00Z', newId: () => 'new' } as never, seen)

it('notes a heading that records have as seen there, with the day, and takes it', () => {
  expect(done(emptyReview('r')).map((c) => [c.kind, (c.payload as { from?: string }).from])).toEqual([
    ['heading.noted', 'record'],
    ['terms.set', undefined],
  ])
})

it('leaves what was seen of it on its page as it is, and takes it', () => {
  const noted = { ...seen.page, id: 'h', sourceId: 's', day: '2026-11-01', from: 'page' as const }
  const review = {
    ...emptyReview('r'),
    headingsNoted: [{ ...noted, label: 'hall noise', narrower: ['Hum'] }],
  }
  expect(done(review).map((c) => c.kind)).toEqual(['terms.set'])
})
