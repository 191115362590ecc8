import { standingRuns, type Review } from '../review'

/**
 * Sources of which something was brought in, in the order of searching: by the day of their first run; those without a run
 * behind them, as they were brought in.
 */
export function searchOrder(review: Pick<Review, 'runs' | 'imports'>): string[] {
  const first = new Map<string, number>()
  for (const { sourceId, at } of standingRuns(review.runs))
    first.set(sourceId, Math.min(first.get(sourceId) ?? Infinity, Date.parse(at)))
  const brought = [...new Set(review.imports.map((i) => i.sourceId))]
  const when = (id: string): number => first.get(id) ?? Infinity
  return brought
    .map((id, n) => ({ id, n }))
    .sort((a, b) => (when(a.id) === when(b.id) ? a.n - b.n : when(a.id) < when(b.id) ? -1 : 1))
    .map(({ id }) => id)
}
