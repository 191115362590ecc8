import type { ToSettle } from './by-hand'

/** A share with its 95 % interval (Wilson 1927, J. Am. Stat. Assoc. 22:209). */
export interface Share {
  value: number
  from: number
  to: number
}

/** The Wilson interval of `hits` of `of`; 1 from 0 to 1 where nothing was tried. */
export function wilson(hits: number, of: number): Share {
  if (!of) return { value: 1, from: 0, to: 1 }
  const z = 1.959963984540054
  const p = hits / of
  const centre = (p + (z * z) / (2 * of)) / (1 + (z * z) / of)
  const half = (z / (1 + (z * z) / of)) * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of))
  return { value: p, from: Math.max(0, centre - half), to: Math.min(1, centre + half) }
}

export interface Measured {
  truePairs: number
  joinedPairs: number
  /** Joined, and two works in truth. */
  wrong: number
  precision: Share
  certainRecall: Share
  /** Of what is joined and what is to settle together. */
  recall: Share
  toSettle: number
}

/**
 * Holds what was found against the truth, over all pairs after closure. Groups of the truth that are left out are single.
 * A pair counts as found to settle where the classes of its records are to be settled.
 */
export function measurePairs(
  truth: readonly (readonly string[])[],
  classes: readonly (readonly string[])[],
  toSettle: readonly ToSettle[],
): Measured {
  const work = new Map(truth.flatMap((group, n) => group.map((id) => [id, n] as const)))
  const classOf = new Map(classes.flatMap((c, n) => c.map((id) => [id, n] as const)))
  const open = new Set(toSettle.map(({ a, b }) => [classOf.get(a), classOf.get(b)].sort().join(' ')))
  let [truePairs, certain, asked, joinedPairs, wrong] = [0, 0, 0, 0, 0]
  for (const group of truth)
    for (let i = 0; i < group.length; i++)
      for (let j = i + 1; j < group.length; j++) {
        truePairs++
        const [a, b] = [classOf.get(group[i]!), classOf.get(group[j]!)]
        if (a !== undefined && a === b) certain++
        else if (open.has([a, b].sort().join(' '))) asked++
      }
  for (const c of classes)
    for (let i = 0; i < c.length; i++)
      for (let j = i + 1; j < c.length; j++) {
        joinedPairs++
        if (work.get(c[i]!) === undefined || work.get(c[i]!) !== work.get(c[j]!)) wrong++
      }
  return {
    truePairs,
    joinedPairs,
    wrong,
    precision: wilson(joinedPairs - wrong, joinedPairs),
    certainRecall: wilson(certain, truePairs),
    recall: wilson(certain + asked, truePairs),
    toSettle: toSettle.length,
  }
}
