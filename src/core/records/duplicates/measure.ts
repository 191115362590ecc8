import { wilson, type Share } from '../../base'
import type { ToSettle } from './by-hand'

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
