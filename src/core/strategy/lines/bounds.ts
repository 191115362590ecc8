import { thousands } from '../../base'
import { lineRef, numbersIn, type Expr, type LimitValue } from '../../query'

interface Bounds {
  least: number
  most: number
}

/** How many records an expression can have, by the hits of the lines it is built on. */
function boundsOf(e: Expr, hits: (line: number) => number | undefined): Bounds {
  const parts = (list: readonly Expr[]): Bounds[] => list.map((p) => boundsOf(p, hits))
  const any = (all: Bounds[]): Bounds => ({
    least: Math.max(0, ...all.map((b) => b.least)),
    most: all.reduce((n, b) => n + b.most, 0),
  })
  const every = (all: Bounds[]): Bounds => ({ least: 0, most: Math.min(...all.map((b) => b.most)) })
  switch (e.kind) {
    case 'line': {
      const own = hits(e.number)
      return { least: own ?? 0, most: own ?? Infinity }
    }
    case 'lines': {
      const all = parts(numbersIn(e.ranges).map(lineRef))
      return e.mode === 'any' ? any(all) : every(all)
    }
    case 'or':
      return any(parts(e.parts))
    case 'and':
      return every(parts(e.parts))
    case 'not': {
      const [first, ...rest] = parts(e.parts)
      return { least: Math.max(0, first!.least - any(rest).most), most: first!.most }
    }
    default:
      return { least: 0, most: Infinity }
  }
}

/**
 * What makes the hits of a line impossible by the hits of the lines it is built on: "at most 30". Undefined where they
 * may be right, or nothing is known.
 */
export function impossibleHits(
  line: { tree: Expr | undefined; hits: number | undefined; limits: readonly LimitValue[] },
  hits: (line: number) => number | undefined,
): string | undefined {
  if (!line.tree || line.hits === undefined) return undefined
  const { least, most } = boundsOf(line.tree, hits)
  if (line.hits > most) return `at most ${thousands(most)}`
  // A limit may take away any number.
  if (!line.limits.length && line.hits < least) return `at least ${thousands(least)}`
  return undefined
}
