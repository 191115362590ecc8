import { currentRuns } from '@/core/account'
import { thousands } from '@/core/base'
import { limitState } from '@/core/profile'
import type { LimitKind } from '@/core/query'
import { runBefore, type Review, type Run } from '@/core/review'
import { conceptsBehind, countingLine, limitsInForce, linesThatCount } from '@/core/strategy'
import type { SourceInfo } from '@/standins/source-info'

/** What the rows of a sheet show beside the lines themselves. */
export interface SheetView {
  /** Where somebody said which line counts: what each line is for. */
  use: ('counts' | 'tried' | undefined)[]
  /** The letters of the concepts behind each line. */
  letters: string[][]
  /** The kinds of limits that hold for each line. */
  applied: LimitKind[][]
  /** Kinds that are planned and that the source has: one that it does not have is no gap in its lines. */
  planned: LimitKind[]
  runs: ReadonlyMap<string, Run>
  /** Hits less those of what a line asked before, by line. */
  changes: ReadonlyMap<string, number>
}

export function sheetView(review: Review, info: SourceInfo): SheetView {
  const lines = review.strategies[info.source.id] ?? []
  const { concepts } = review
  const runs = currentRuns(review, info.source.id)
  const changes = new Map<string, number>()
  const counting = countingLine(review, info.source.id)
  const used = linesThatCount(review, info.source.id)
  for (const [lineId, run] of runs) {
    const before = runBefore(review.runs, run)
    if (before) changes.set(lineId, run.hits - before.hits)
  }
  return {
    use: lines.map(({ id, described }) =>
      !used || described !== undefined
        ? undefined
        : id === counting?.id
          ? 'counts'
          : used.has(id)
            ? undefined
            : 'tried',
    ),
    letters: conceptsBehind(
      lines,
      concepts.map((c) => c.id),
    ).map((ids) => ids.map((id) => concepts.find((c) => c.id === id)!.letter)),
    applied: limitsInForce(lines).map((limits) => limits.map((l) => l.kind)),
    planned: review.limits
      .map((l) => l.limit.kind)
      .filter((kind) => !info.profile || limitState(kind, info.profile) !== 'not available'),
    runs,
    changes,
  }
}

/** Hits of a strategy's last line, if it is current. */
export function lastHits(review: Review, sourceId: string): string {
  const last = countingLine(review, sourceId)
  const run = last && currentRuns(review, sourceId).get(last.id)
  return run ? thousands(run.hits) : ''
}
