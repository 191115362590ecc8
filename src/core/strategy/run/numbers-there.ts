import type { Run } from '../../review'
import type { LineLike } from '../lines/keys'

/** As much of a run as tells which number its line has there. */
type Numbered = Pick<Run, 'lineId' | 'number' | 'there' | 'how'>

/**
 * The number that each line of a sheet has in its database, by its place here from 1: the one noted when it was last run
 * there; for a line that was not run yet, as far on from the one before it as it stands here. A typing slip there moves all that
 * follow. Lines of which nothing is known keep their own number.
 */
export function numbersThere(
  lines: readonly LineLike[],
  runs: readonly Numbered[],
): (number: number) => number {
  const noted = new Map<string, number>()
  for (const run of runs) {
    if (run.how === 'stand-in') continue
    const there = run.there === undefined ? run.number : Number(/\d+/.exec(run.there)?.[0])
    if (there > 0) noted.set(run.lineId, there)
  }
  let offset = 0
  const known = lines.map((line, i) => {
    const there = noted.get(line.id)
    if (there !== undefined) offset = there - (i + 1)
    return there ?? i + 1 + offset
  })
  return (number) => known[number - 1] ?? number + offset
}
