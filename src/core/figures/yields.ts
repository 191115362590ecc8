import { buildIndex } from '../engine'
import { layColumns, toDocument, WorkList, type AskedWorks, type ListedWork } from '../records'
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

/** How many of these works each term in use finds, by its id; none where there are no works. */
export function termYields(review: Review, works: readonly ListedWork[]): Map<string, number> {
  if (!works.length) return new Map()
  const index = buildIndex(works.map((w) => toDocument(w.record)))
  const list = new WorkList(layColumns(works), () => index)
  const unchanging = { ruled: () => [], groups: () => [], isNew: () => false }
  return new Map(termAsks(review).map(({ id, ask }) => [id, list.ask(ask, unchanging).places.length]))
}
