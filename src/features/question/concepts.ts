import { LETTERS, type Concept, type Letter, type Review } from '@/core/review'
import { newId } from '@/store/session'

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

/** The first letter that no concept has; undefined when all six are taken. */
export const freeLetter = (review: Review): Letter | undefined =>
  LETTERS.find((l) => !review.concepts.some((c) => c.letter === l))
