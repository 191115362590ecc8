import type { Store } from '@/store/store'
import type { Concept, Review, Term } from '@/core/review'

type Fresh = Pick<Term, 'conceptId' | 'sourceId' | 'kind' | 'expression' | 'origin'> & Partial<Term>

/** The term of the grid that says the same in the same cell, in use or dropped. */
export const sameTerm = (review: Review, t: Pick<Term, 'conceptId' | 'sourceId' | 'kind' | 'expression'>) =>
  review.terms.find(
    (k) =>
      k.conceptId === t.conceptId &&
      k.sourceId === t.sourceId &&
      k.kind === t.kind &&
      k.expression === t.expression,
  )

/** Puts terms into the grid; one that is there already is taken again as it is now wanted. */
export function putTerms(store: Store, review: Review, fresh: readonly Fresh[]): void {
  const { newId, deed, act } = store
  const terms = fresh.map((t): Term => {
    const known = sameTerm(review, t)
    const { reason: _reason, ...kept } = known ?? { withNarrower: false, mainFocus: false }
    return { ...kept, ...t, id: known?.id ?? newId(), status: 'in use' } as Term
  })
  if (terms.length === 1) deed(act('term.set', terms[0]!))
  else if (terms.length) deed(act('terms.set', { terms }))
}

/** Moves a term to another concept; one that says the same there already takes it in. */
export function moveTerm(store: Store, review: Review, term: Term, to: Concept): void {
  const { deed, actAll, act } = store
  if (term.conceptId === to.id) return
  const there = sameTerm(review, { ...term, conceptId: to.id })
  if (there) {
    deed(
      actAll([
        { kind: 'term.set', payload: { ...there, status: 'in use' } },
        { kind: 'term.remove', payload: { id: term.id } },
      ]),
    )
  } else deed(act('term.set', { ...term, conceptId: to.id }))
}

export function dropTerm(store: Store, term: Term): void {
  const { deed, act } = store
  deed(act('term.set', { ...term, status: 'dropped' }))
}

export function takeBack(store: Store, term: Term): void {
  const { deed, act } = store
  const { reason: _reason, ...rest } = term
  deed(act('term.set', { ...rest, status: 'in use' }))
}
