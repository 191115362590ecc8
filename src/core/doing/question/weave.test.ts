import { describe, expect, it } from 'vitest'
import { emptyReview, kindNamed, LETTERS, type Review } from '../../review'
import { conceptForLetter, freeLetter, lettersToOffer, weaving } from './weave'

let ids = 0
const QUESTION = 'How does background noise in class bear on reading?'
const begun = (): Review => ({ ...emptyReview('r'), question: QUESTION })
const span = (words: string): [number, number] => {
  const start = QUESTION.indexOf(words)
  return [start, start + words.length]
}
function woven(review: Review, letter: 'A' | 'B' | 'C', words: string): Review {
  const next = structuredClone(review)
  for (const command of weaving(review, letter, ...span(words), () => `id-${++ids}`).commands)
    kindNamed(command.kind)!.apply(next, command.payload, { seq: 0, at: '', by: '' })
  return next
}
const picks = (r: Review) =>
  r.picks.map((p) => [r.concepts.find((c) => c.id === p.conceptId)!.letter, p.text])

describe('weaving words of the question into concepts', () => {
  it('begins a concept named after its first words, and goes on with the one of the letter', () => {
    const one = woven(begun(), 'A', 'noise')
    expect(one.concepts).toMatchObject([{ letter: 'A', name: 'Noise', essential: true }])
    const two = woven(one, 'A', 'class')
    expect(two.concepts).toHaveLength(1)
    expect(picks(two)).toEqual([
      ['A', 'noise'],
      ['A', 'class'],
    ])
  })

  it('leaves to the other concept what is not covered, on either side', () => {
    const wide = woven(begun(), 'A', 'background noise in class')
    const cut = woven(wide, 'B', 'noise')
    expect(picks(cut)).toEqual([
      ['A', 'background'],
      ['B', 'noise'],
      ['A', 'in class'],
    ])
    for (const p of cut.picks) expect(QUESTION.slice(p.start, p.end)).toBe(p.text)
    // The same words again change hands as a whole.
    expect(picks(woven(cut, 'C', 'background'))[0]).toEqual(['C', 'background'])
  })

  it('offers the letters of the concepts there are and the next, until all are taken', () => {
    const review = woven(woven(begun(), 'A', 'noise'), 'C', 'reading')
    expect(lettersToOffer(review)).toEqual(['A', 'B', 'C'])
    expect(freeLetter(review)).toBe('B')
    const full = {
      ...review,
      concepts: LETTERS.map((l) => ({ ...review.concepts[0]!, id: l, letter: l })),
    }
    expect(freeLetter(full)).toBeUndefined()
    expect(lettersToOffer(full)).toEqual(LETTERS)
    expect(conceptForLetter(full, 'A', 'x', () => 'new')).toMatchObject({ isNew: false })
  })
})
