import { buildIndex } from '../engine'
import { layColumns, toDocument, WorkList, type AskedWorks, type ListedWork } from '../records'
import { termsInUse, type Review } from '../review'

/**
 * What is asked of the list of works for each term in use that a work can hold: words in title, abstract and keywords, as
 * databases are asked for them, or a heading itself.
 */
export function termAsks(review: Review): { id: string; ask: AskedWorks }[] {
  return termsInUse(review).flatMap((t): { id: string; ask: AskedWorks }[] =>
    t.kind === 'heading'
      ? [{ id: t.id, ask: { chosen: { heading: [t.expression] } } }]
      : t.kind === 'text'
        ? [{ id: t.id, ask: { words: `text: (${t.expression})` } }]
        : [],
  )
}

/**
 * How many of these works each term in use finds, by its id; none where there are no works. `most` works are laid out for
 * being searched at once: of many, their words together would take more memory than the works.
 */
export function termYields(review: Review, works: readonly ListedWork[], most = 5000): Map<string, number> {
  const asks = works.length ? termAsks(review) : []
  const found = new Map(asks.map(({ id }) => [id, 0]))
  const unchanging = { ruled: () => [], groups: () => [], isNew: () => false }
  for (let from = 0; asks.length && from < works.length; from += most) {
    const part = works.slice(from, from + most)
    const index = buildIndex(part.map((w) => toDocument(w.record)))
    const list = new WorkList(layColumns(part), () => index)
    for (const { id, ask } of asks) found.set(id, found.get(id)! + list.ask(ask, unchanging).places.length)
  }
  return found
}
