import type { Run } from '../../review'
import { referredLines, type Expr, type Lines } from '../../query'
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

/** An expression with its lines called by other numbers; ranges that no longer run on are spelled out. */
export function withNumbers(e: Expr, to: (number: number) => number): Expr {
  if (!referredLines(e).some((n) => to(n) !== n)) return e
  const change = (part: Expr): Expr => {
    switch (part.kind) {
      case 'line':
        return { ...part, number: to(part.number) }
      case 'lines':
        return { ...part, ranges: part.ranges.flatMap((r) => moved(r, to)) }
      case 'and':
      case 'or':
      case 'not':
        return { ...part, parts: part.parts.map(change) }
      case 'fields':
        return { ...part, of: change(part.of) }
      case 'near':
        return { ...part, left: change(part.left), right: change(part.right) }
      default:
        return part
    }
  }
  return change(e)
}

function moved({ from, to: end }: Lines['ranges'][number], to: (number: number) => number): Lines['ranges'] {
  const ranges: Lines['ranges'] = []
  for (let n = from; n <= end; n++) {
    const now = to(n)
    const last = ranges[ranges.length - 1]
    if (last?.to === now - 1) last.to = now
    else ranges.push({ from: now, to: now })
  }
  return ranges
}
