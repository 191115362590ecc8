import { LETTERS, type Command, type Concept, type Letter, type Pick, type Review } from '../../review'

/** The concept of this letter, or a new one named after the words woven into it. */
export function conceptForLetter(
  review: Review,
  letter: Letter,
  words: string,
  newId: () => string,
): { concept: Concept; isNew: boolean } {
  const known = review.concepts.find((c) => c.letter === letter)
  if (known) return { concept: known, isNew: false }
  const name = words.replace(/^./, (c) => c.toUpperCase())
  return { concept: { id: newId(), letter, name, essential: true, note: '' }, isNew: true }
}

/** A stretch of the question. */
type Place = { start: number; end: number }
/** The woven words that hold a phrase. */
export const pickAround = (review: Review, phrase: Place): Pick | undefined =>
  review.picks.find((p) => p.start <= phrase.start && p.end >= phrase.end)
/** The concept whose words already hold a phrase. */
export const ownerOf = (review: Review, phrase: Place): Concept | undefined => {
  const pick = pickAround(review, phrase)
  return review.concepts.find((c) => c.id === pick?.conceptId)
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
 * What weaves a stretch of the question into the concept of a letter, and that concept. Words of other concepts that
 * it covers change hands; what is left of them on either side stays where it was.
 */
export function weaving(
  review: Review,
  letter: Letter,
  start: number,
  end: number,
  newId: () => string,
): { concept: Concept; commands: Command[] } {
  const text = review.question.slice(start, end)
  const { concept, isNew } = conceptForLetter(review, letter, text, newId)
  const pick = (conceptId: string, stretch: Stretch): Command => ({
    kind: 'pick.add',
    payload: { id: newId(), conceptId, ...stretch },
  })
  const commands: Command[] = [
    ...(isNew ? [{ kind: 'concept.set' as const, payload: concept }] : []),
    pick(concept.id, { start, end, text }),
  ]
  for (const cut of review.picks.filter((p) => p.start < end && p.end > start))
    for (const [from, to] of [
      [cut.start, start],
      [end, cut.end],
    ] as const) {
      const rest = from < to ? trimmed(review.question, from, to) : undefined
      if (rest) commands.push(pick(cut.conceptId, rest))
    }
  return { concept, commands }
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
