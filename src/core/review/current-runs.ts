import { keptFor } from '../base'
import { keyOfRun, lineKeys, PRESENT_RULE, type KeyRule } from '../strategy'
import { standingRuns, type Review, type Run } from './values'

// Many facts and the course ask for the same runs; a review is never changed in place, so its answer may be kept.
const runsOf = keptFor((_: Review) => new Map<string, ReadonlyMap<string, Run>>())

/**
 * The latest run of each line that still asks what the line asks now, both under the same rule, in the release that is
 * pinned. The digests that a run carries are evidence: none of them makes it stale.
 */
export function currentRuns(
  review: Review,
  sourceId: string,
  rule: KeyRule = PRESENT_RULE,
): ReadonlyMap<string, Run> {
  if (rule !== PRESENT_RULE) return findRuns(review, sourceId, rule)
  const bySource = runsOf(review)
  let runs = bySource.get(sourceId)
  if (!runs) bySource.set(sourceId, (runs = findRuns(review, sourceId, rule)))
  return runs
}

function findRuns(review: Review, sourceId: string, rule: KeyRule): Map<string, Run> {
  const keys = lineKeys(review.strategies[sourceId] ?? [], rule)
  const pinned = review.sources.find((s) => s.id === sourceId)?.release
  const runs = new Map<string, Run>()
  for (const run of standingRuns(review.runs))
    if (
      run.sourceId === sourceId &&
      keys.get(run.lineId) === keyOfRun(run, rule) &&
      (run.how !== 'stand-in' || pinned === undefined || run.release === pinned)
    )
      runs.set(run.lineId, run)
  return runs
}
