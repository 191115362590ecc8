import { standingRuns, type Line, type Review, type Run } from '../../review'
import { keyOfRun, lineKeys } from '../../strategy'
import type { Doing } from '../doing'
import { correctRun, logByHand, type LoggedByHand } from './run'
import { updateFor } from './update'

/** What a further run elsewhere is: the same search for what is new, another search, or the same with its count put right. */
export type Again = 'update' | 'revised' | 'mistyped'

export interface RanBefore {
  run: Run
  /** What a further one may be, the likeliest first: a line that was changed asks something else. */
  mayBe: readonly Again[]
}

/** The run that a line has elsewhere, and what a further one may be; undefined where it has none. */
export function ranBefore(review: Review, lines: readonly Line[], line: Line): RanBefore | undefined {
  const run = standingRuns(review.runs).findLast((r) => r.lineId === line.id)
  if (!run || run.how === 'stand-in') return undefined
  const same = keyOfRun(run) === lineKeys(lines).get(line.id)
  return { run, mayBe: same ? ['update', 'revised', 'mistyped'] : ['revised', 'update'] }
}

/** Logs a further run made elsewhere as what it is; a count that was mistyped needs its reason. */
export const logAgain: Doing<LoggedByHand & { as: Again; before: Run; because: string }> = (
  at,
  { as, before, because, ...made },
) => {
  if (as === 'mistyped') return correctRun(at, { run: before, hits: made.hits, because })
  if (as === 'revised') return logByHand(at, made)
  const { review, commands } = updateFor(at, [made.line.id])
  return [...commands, ...logByHand({ ...at, review }, made)]
}
