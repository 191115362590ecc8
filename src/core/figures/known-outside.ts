import { currentRuns, type Review, type Run } from '../review'
import { limitsThatCount, runsThatCount, type LineLike } from '../strategy'

interface Years {
  from: number
  to: number
}

/** The lines that a run reached, in their places; of runs of the first form, which name none, those that stand there still. */
function linesOf(review: Review, run: Run): LineLike[] {
  const current = currentRuns(review, run.sourceId).get(run.lineId)
  if (!run.reached && current?.id === run.id)
    return (review.strategies[run.sourceId] ?? []).slice(0, run.number)
  const reached = new Map((run.reached ?? []).map((l) => [l.number, l]))
  if (!run.reached) reached.set(run.number, { ...run, id: run.lineId })
  return Array.from({ length: run.number }, (_, n): LineLike => {
    const line = reached.get(n + 1)
    return { id: line?.id ?? `${n}`, text: line?.text ?? '', limits: line?.limits ?? [] }
  })
}

/** The years that the search of each database kept to, as it was run; undefined where one kept to none. */
function yearsKept(review: Review, searched: readonly string[]): Years[] | undefined {
  const counting = runsThatCount(review)
  const kept = searched.map((id): Years | undefined => {
    const run = counting.get(id)
    if (!run) return undefined
    const years = limitsThatCount(linesOf(review, run)).flatMap((l) => (l.kind === 'years' ? [l] : []))
    if (!years.length) return undefined
    return {
      from: Math.max(...years.map((y) => y.from ?? -Infinity)),
      to: Math.min(...years.map((y) => y.to ?? Infinity)),
    }
  })
  return kept.length && kept.every((y) => y !== undefined) ? kept : undefined
}

/** Known items that are not among the works, and by their own year could not be: every search left it out. */
export function knownOutside(
  review: Review,
  searched: readonly string[],
  found: ReadonlyMap<string, string>,
): number {
  const kept = yearsKept(review, searched)
  if (!kept) return 0
  return review.knownItems.filter(
    ({ id, year }) => year !== undefined && !found.has(id) && kept.every((y) => year < y.from || year > y.to),
  ).length
}
