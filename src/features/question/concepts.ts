import { LETTERS, type Concept, type Letter, type Pick, type Review } from '@/core/review'
import { act, newId } from '@/store/session'

/** The concept of this letter, or a new one named after the words woven into it. */
export function conceptForLetter(
  review: Review,
  letter: Letter,
  words: string,
): { concept: Concept; isNew: boolean } {
  const known = review.concepts.find((c) => c.letter === letter)
  if (known) return { concept: known, isNew: false }
  const name = words.replace(/^./, (c) => c.toUpperCase())
  return { concept: { id: newId(), letter, name, essential: true, note: '' }, isNew: true }
}

/** The first letter that no concept has; undefined when all are taken. */
export const freeLetter = (review: Review): Letter | undefined =>
  LETTERS.find((l) => !review.concepts.some((c) => c.letter === l))

/** Letters that may be pressed now: those of the concepts there are, and the next. */
export const lettersToOffer = (review: Review): readonly Letter[] => {
  const free = freeLetter(review)
  return LETTERS.filter((l) => l === free || review.concepts.some((c) => c.letter === l))
}

/**
 * Weaves a stretch of the question into the concept of a letter and gives that concept. Words of other concepts that
 * it covers change hands; what is left of them on either side stays where it was.
 */
export function weave(review: Review, letter: Letter, start: number, end: number): Concept {
  const text = review.question.slice(start, end)
  const { concept, isNew } = conceptForLetter(review, letter, text)
  if (isNew) void act('concept.set', concept)
  const cut = review.picks.filter((p) => p.start < end && p.end > start)
  void act('pick.add', { id: newId(), conceptId: concept.id, start, end, text })
  for (const pick of cut)
    for (const [from, to] of [
      [pick.start, start],
      [end, pick.end],
    ] as const) {
      const rest = from < to ? trimmed(review.question, from, to) : undefined
      if (rest) void act('pick.add', { id: newId(), conceptId: pick.conceptId, ...rest })
    }
  return concept
}

/** A stretch without the signs and blanks at its ends; undefined where no word is left. */
function trimmed(question: string, from: number, to: number): Stretch | undefined {
  const text = question.slice(from, to)
  const inner = /[\p{L}\p{N}](?:.*[\p{L}\p{N}])?/su.exec(text)
  if (!inner) return undefined
  const start = from + inner.index
  return { start, end: start + inner[0].length, text: inner[0] }
}
type Stretch = Omit<Pick, 'id' | 'conceptId'>
