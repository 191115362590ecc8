import { expect, it } from 'vitest'
import { emptyReview, kindNamed, type Command, type Review } from '../../review'
import { takePhrase, type PhraseTaken } from '..'

let ids = 0
const QUESTION = 'How does background noise bear on reading in class?'
const at = (review: Review) => ({
  review,
  now: '2026-11-30T10:00:00Z',
  newId: () => `n-${++ids}`,
  person: 'p',
})
const phrase = (text: string): PhraseTaken['phrase'] => {
  const start = QUESTION.indexOf(text)
  return { text, start, end: start + text.length }
}
function after(review: Review, commands: readonly Command[]): Review {
  const next = structuredClone(review)
  for (const c of commands) kindNamed(c.kind)!.apply(next, c.payload, { seq: 0, at: '', by: '' })
  return next
}
const terms = (r: Review) => r.terms.map((t) => [t.conceptId, t.sourceId, t.kind, t.expression])

it('takes a phrase that leads to no heading as words for every source, in quotes where it is more than one', () => {
  const one = after(
    { ...emptyReview('r'), question: QUESTION },
    takePhrase(at({ ...emptyReview('r'), question: QUESTION }), {
      letter: 'A',
      phrase: phrase('background noise'),
      headings: [],
    }),
  )
  const [concept] = one.concepts
  expect(concept).toMatchObject({ letter: 'A', name: 'Background noise' })
  expect(one.picks.map((p) => p.text)).toEqual(['background noise'])
  expect(terms(one)).toEqual([[concept!.id, 'all', 'text', '"background noise"']])
  const two = after(one, takePhrase(at(one), { letter: 'B', phrase: phrase('reading'), headings: [] }))
  expect(terms(two)[1]).toEqual([two.concepts[1]!.id, 'all', 'text', 'reading'])
  // What is there is not taken twice.
  expect(takePhrase(at(two), { letter: 'B', phrase: phrase('reading'), headings: [] })).toEqual([])
})

it('takes the headings of a phrase for their sources, and a heading that is in the grid only once', () => {
  const begun = { ...emptyReview('r'), question: QUESTION }
  const taken: PhraseTaken = {
    letter: 'A',
    phrase: phrase('background noise'),
    headings: [{ sourceId: 's', label: 'Noise', withNarrower: true }],
  }
  const one = after(begun, takePhrase(at(begun), taken))
  expect(terms(one)).toEqual([[one.concepts[0]!.id, 's', 'heading', 'Noise']])
  const more = {
    ...taken,
    headings: [...taken.headings, { sourceId: 't', label: 'Sound', withNarrower: false }],
  }
  expect(terms(after(one, takePhrase(at(one), more))).map((t) => t[3])).toEqual(['Noise', 'Sound'])
})
