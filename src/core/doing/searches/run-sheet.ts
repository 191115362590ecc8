import type { Profile } from '../../profile'
import { standingRuns, type Line, type Review, type Run } from '../../review'
import { keyOfRun, lineKeys, lineToSend, numbersThere, type ToSend } from '../../strategy'

/** One line of a run sheet: what is sent there, the number it is likely to get, and what came of it the last time. */
export interface RunSheetLine {
  line: Line
  /** Its place in the strategy, from 1. */
  number: number
  /** Undefined where the line cannot be read. */
  said: ToSend | undefined
  there: number | undefined
  /** The run that still says what the line asks. */
  run: Run | undefined
}

/**
 * The lines of a source in the order in which a person runs them there: those not run as they stand, or all of them where the
 * search is made again. What was done without a query has no line here. Empty where nothing is to be run.
 */
export function runSheet(
  review: Review,
  sourceId: string,
  profile: Profile,
  which: 'open' | 'all',
): RunSheetLine[] {
  const lines = review.strategies[sourceId] ?? []
  const keys = lineKeys(lines)
  const runs = standingRuns(review.runs)
  const there = numbersThere(lines, review.runs)
  return lines.flatMap((line, i): RunSheetLine[] => {
    if (line.described !== undefined || !line.text.trim()) return []
    const run = runs.findLast((r) => r.lineId === line.id && keyOfRun(r) === keys.get(line.id))
    if (run && which === 'open') return []
    const number = i + 1
    return [
      {
        line,
        number,
        said: lineToSend(lines, number, profile, review.runs),
        there: profile.lines ? there(number) : undefined,
        run,
      },
    ]
  })
}
