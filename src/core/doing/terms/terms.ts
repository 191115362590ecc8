import type { Command, CommandOf, Line, Review, Term } from '../../review'
import { placeTerm } from '../../strategy'
import type { Doing } from '../doing'

/** A term as it is put into the grid: how it is searched may be left open. */
export type FreshTerm = Pick<Term, 'conceptId' | 'sourceId' | 'kind' | 'expression' | 'origin'> &
  Partial<Term>

/** The term of the grid that says the same in the same cell, in use or dropped. */
export const sameTerm = (
  review: Review,
  t: Pick<Term, 'conceptId' | 'sourceId' | 'kind' | 'expression'>,
): Term | undefined =>
  review.terms.find(
    (k) =>
      k.conceptId === t.conceptId &&
      k.sourceId === t.sourceId &&
      k.kind === t.kind &&
      k.expression === t.expression,
  )

const inUse = ({ reason: _reason, ...term }: Term): Term => ({ ...term, status: 'in use' })

/** Puts terms into the grid; one that is there already is taken again as it is now wanted. */
export const putTerms: Doing<readonly FreshTerm[]> = ({ review, newId }, fresh) => {
  const terms = fresh.map((t): Term => {
    const known = sameTerm(review, t)
    const { reason: _reason, ...kept } = known ?? { withNarrower: false, mainFocus: false }
    return { ...kept, ...t, id: known?.id ?? newId(), status: 'in use' } as Term
  })
  if (terms.length === 1) return [{ kind: 'term.set', payload: terms[0]! }]
  return terms.length ? [{ kind: 'terms.set', payload: { terms } }] : []
}

/** Moves a term to another concept; one that says the same there already takes it in. */
export const moveTerm: Doing<{ term: Term; conceptId: string }> = ({ review }, { term, conceptId }) => {
  if (term.conceptId === conceptId) return []
  const there = sameTerm(review, { ...term, conceptId })
  return there
    ? [
        { kind: 'term.set', payload: { ...there, status: 'in use' } },
        { kind: 'term.remove', payload: { id: term.id } },
      ]
    : [{ kind: 'term.set', payload: { ...term, conceptId } }]
}

/** Drops a term from the plan; it stays in sight, and asks why. */
export const dropTerm: Doing<Term> = (_at, term) => [
  { kind: 'term.set', payload: { ...term, status: 'dropped' } },
]

/** Takes a dropped term into use again; why it was dropped goes. */
export const takeTermBack: Doing<Term> = (_at, term) => [{ kind: 'term.set', payload: inUse(term) }]

/** Says how a heading is searched: with the narrower ones, as the main focus of a work. */
export const sayHeading: Doing<{ term: Term; withNarrower: boolean; mainFocus: boolean }> = (
  _at,
  { term, withNarrower, mainFocus },
) => [{ kind: 'term.set', payload: { ...term, withNarrower, mainFocus } }]

/** Joins a term to the line of its concept in each of these sources that has one. */
export const putIntoLines: Doing<{ term: Term; sourceIds: readonly string[] }> = (
  { review },
  { term, sourceIds },
) =>
  sourceIds.flatMap((sourceId): Command[] => {
    const lines: readonly Line[] = review.strategies[sourceId] ?? []
    const place = placeTerm(term, lines)
    return place ? [{ kind: 'line.change', payload: { sourceId, id: place.lineId, text: place.text } }] : []
  })

/** Notes that the vocabulary of a source has nothing for something. */
export const noteGap: Doing<{ conceptId: string; sourceId: string; about: string }> = ({ newId }, gap) => [
  { kind: 'gap.set', payload: { id: newId(), ...gap } },
]
export const dropGap: Doing<string> = (_at, id) => [{ kind: 'gap.remove', payload: { id } }]

/** Lets go of a vocabulary that came from a file; the terms taken from it stay. */
export const dropVocabulary: Doing<string> = (_at, id) => [{ kind: 'vocabulary.remove', payload: { id } }]

/** Takes a vocabulary from a file into use for a source: its bytes lie beside the journal already. */
export const takeVocabulary: Doing<Omit<CommandOf<'vocabulary.import'>['payload'], 'id' | 'at'>> = (
  { newId, now },
  about,
) => [{ kind: 'vocabulary.import', payload: { id: newId(), at: now, ...about } }]
