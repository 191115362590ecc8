import type { AskedWorks } from '../records'
import { termsInUse, type Review } from '../review'

/** What is asked of the list of works for each term in use that a work can hold: words, or a heading itself. */
export function termAsks(review: Review): { id: string; ask: AskedWorks }[] {
  return termsInUse(review).flatMap((t): { id: string; ask: AskedWorks }[] =>
    t.kind === 'heading'
      ? [{ id: t.id, ask: { chosen: { heading: [t.expression] } } }]
      : t.kind === 'text'
        ? [{ id: t.id, ask: { words: t.expression } }]
        : [],
  )
}
