import type { Command, Concept, Letter } from '../../review'
import type { Doing } from '../doing'
import { freeLetter, weaving } from './weave'

/** Begins a concept without words under the first free letter; nothing where all letters are taken. */
export const beginConcept: Doing<{ id: string }> = ({ review }, { id }) => {
  const letter = freeLetter(review)
  return letter
    ? [{ kind: 'concept.set', payload: { id, letter, name: `Concept ${letter}`, essential: true, note: '' } }]
    : []
}

/** Takes a concept out of the plan, with its terms. */
export const dropConcept: Doing<string> = (_at, id) => [{ kind: 'concept.remove', payload: { id } }]

/** An essential concept becomes optional, and the other way round. */
export const turnEssential: Doing<Concept> = (_at, concept) => [
  { kind: 'concept.set', payload: { ...concept, essential: !concept.essential } },
]

/** The part of a concept in the framework; undefined takes it away. */
export const chooseRole: Doing<{ concept: Concept; role: string | undefined }> = (_at, { concept, role }) => {
  const { role: _was, ...rest } = concept
  return [{ kind: 'concept.set', payload: role ? { ...rest, role } : rest }]
}

export const chooseFramework: Doing<string> = (_at, framework) => [
  { kind: 'framework.set', payload: { framework } },
]

/**
 * Another concept is enough in place of this one, or no more: the concepts of which one is enough stand together in the order
 * of their letters; one alone is no choice.
 */
export const turnAlternative: Doing<{ conceptId: string; other: string }> = (
  { review, newId },
  { conceptId, other },
) => {
  const group = review.alternatives.find((a) => a.conceptIds.includes(conceptId))
  const now = group?.conceptIds ?? [conceptId]
  const next = now.includes(other) ? now.filter((x) => x !== other) : [...now, other]
  const conceptIds = review.concepts.flatMap((c) => (next.includes(c.id) ? [c.id] : []))
  if (conceptIds.length > 1)
    return [{ kind: 'alternatives.set', payload: { id: group?.id ?? newId(), conceptIds } }]
  return group ? [{ kind: 'alternatives.remove', payload: { id: group.id } }] : []
}

/** A stretch of the question, by its signs. */
interface Stretch {
  start: number
  end: number
}

/** Weaves a stretch of the question into the concept of a letter. */
export const putIntoConcept: Doing<Stretch & { letter: Letter }> = (
  { review, newId },
  { letter, start, end },
) => weaving(review, letter, start, end, newId).commands

/** Takes what is woven out of a stretch of the question. */
export const takeOutOfConcepts: Doing<Stretch> = ({ review }, { start, end }) =>
  review.picks
    .filter((pick) => pick.start < end && pick.end > start)
    .map(({ id }): Command => ({ kind: 'pick.remove', payload: { id } }))
