import { standingRuns, type Line, type Review, type Run } from '../../review'
import { keyOfRun, lineKeys } from '../../strategy'
import type { Doing } from '../doing'

/**
 * The run of a line elsewhere that no longer asks what the line says, though the line itself is all that changed: what was sent
 * may have been right, and only its reading here wrong. Undefined where the line asks what its run asked, or was run here.
 */
export function runReadOtherwise(review: Review, lines: readonly Line[], line: Line): Run | undefined {
  const run = standingRuns(review.runs).findLast((r) => r.lineId === line.id)
  if (!run || run.how === 'stand-in' || line.described !== undefined || run.text === line.text)
    return undefined
  return keyOfRun(run) === lineKeys(lines).get(line.id) ? undefined : run
}

/** Says that a run asked what its line says now: only the reading is put right, and what was sent, its hits and its day stay. */
export const putReadingRight: Doing<{ run: Run; line: Line; why: string }> = (_, { run, line, why }) => [
  { kind: 'run.reread', payload: { runId: run.id, reading: line.text, why: why.trim() } },
]

/**
 * The run of a line that asks what the line asks, and was sent otherwise than its database is written now: its description was
 * changed since. Undefined where nothing was sent by hand, or the same would be sent.
 */
export function writtenOtherwise(
  review: Review,
  lines: readonly Line[],
  line: Line,
  written: string,
): Run | undefined {
  const run = standingRuns(review.runs).findLast((r) => r.lineId === line.id)
  if (!run || run.how !== 'by hand' || line.described !== undefined || !written) return undefined
  return run.sent !== written && keyOfRun(run) === lineKeys(lines).get(line.id) ? run : undefined
}
