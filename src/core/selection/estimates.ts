import { Z95 } from './kappa'

export interface Estimate {
  /** Not rounded. */
  total: number
  interval: readonly [number, number]
}

/**
 * How many relevant works there are, from two sources that found `first` and `second` of them and `both` in common:
 * Chapman's estimator (Univ Calif Publ Stat 1951;1:131) with Seber's variance (The Estimation of Animal Abundance, 1982).
 * It holds only where the sources find works independently of each other, which they seldom do: where what one finds the
 * other finds too, it is too low.
 */
export function chapman(first: number, second: number, both: number): Estimate {
  const total = ((first + 1) * (second + 1)) / (both + 1) - 1
  const variance =
    ((first + 1) * (second + 1) * (first - both) * (second - both)) / ((both + 1) ** 2 * (both + 2))
  const half = Z95 * Math.sqrt(variance)
  // There are at least those that were seen.
  return { total, interval: [Math.max(first + second - both, total - half), total + half] }
}

/** What makes such an estimate say little: too few in common, or sources that could not have found the same. */
export function chapmanWarnings(
  first: number,
  second: number,
  both: number,
): ('few in common' | 'one holds the other')[] {
  return [
    ...(both < 7 ? (['few in common'] as const) : []),
    ...(both === Math.min(first, second) && both > 0 ? (['one holds the other'] as const) : []),
  ]
}

/** How many works of a source are read for one that is kept; undefined where none was kept. */
export const numberNeededToRead = (read: number, kept: number): number | undefined =>
  kept ? read / kept : undefined

export interface StoppingPoint {
  read: number
  found: number
}

/** Relevant works found over works read, in the order of reading; a point for each that was found, and one at the end. */
export function stoppingCurve(inOrder: readonly boolean[]): StoppingPoint[] {
  const points: StoppingPoint[] = [{ read: 0, found: 0 }]
  let found = 0
  inOrder.forEach((relevant, n) => {
    if (relevant) points.push({ read: n + 1, found: ++found })
  })
  if (inOrder.length && points.at(-1)!.read !== inOrder.length) points.push({ read: inOrder.length, found })
  return points
}
