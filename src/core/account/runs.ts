import { keptFor } from '../base'
import { parse, referredLines } from '../query'
import { standingRuns, type Line, type Review, type Run } from '../review'
import { finalLine, lineKeys } from '../strategy'

// Many facts and the course ask for the same runs; a review is never changed in place, so its answer may be kept.
const runsOf = keptFor((_: Review) => new Map<string, ReadonlyMap<string, Run>>())

/** The latest run of each line that still asks what the line asks now. */
export function currentRuns(review: Review, sourceId: string): ReadonlyMap<string, Run> {
  const bySource = runsOf(review)
  let runs = bySource.get(sourceId)
  if (!runs) bySource.set(sourceId, (runs = findRuns(review, sourceId)))
  return runs
}

function findRuns(review: Review, sourceId: string): Map<string, Run> {
  const keys = lineKeys(review.strategies[sourceId] ?? [])
  const runs = new Map<string, Run>()
  for (const run of standingRuns(review.runs))
    if (run.sourceId === sourceId && keys.get(run.lineId) === run.key) runs.set(run.lineId, run)
  return runs
}

/** The line that joins the concepts: the last one without limits that is no single concept's. */
export function joiningLine(lines: readonly Line[]): Line | undefined {
  const final = finalLine(lines)
  let at = final
  // Down from the last line through those that only add a limit.
  for (let guard = 0; at && at.limits.length && guard < lines.length; guard++) {
    const tree = parse(at.text).tree
    const below: number[] = tree ? referredLines(tree) : []
    if (below.length !== 1) break
    at = lines[below[0]! - 1]
  }
  return at
}
