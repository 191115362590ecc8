import { parse, referredLines } from '../query'
import type { Line } from '../review'
import { finalLine } from '../strategy'

export { currentRuns } from '../review'

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
