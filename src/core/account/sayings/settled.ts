import { held } from '../../base'
import { rulesOf, seenDifferently, type RulingRules } from '../../selection'
import type { FactContext } from '../facts'

/** What became of works that readers saw differently in a pass. */
export interface Settled {
  settled: number
  waits: number
  /** How they were settled, most often first; none where that is not known of all. */
  hows: string[]
  /** What the review does with those that nobody settled. */
  rule: RulingRules['broad']
}

/** A way of settling with signs that have a meaning in a document is not told. */
const tellable = (how: string): boolean => how !== '' && !/[{}*]/.test(how)

export const differed = ({ figures }: FactContext, pass: 'broad' | 'close'): boolean =>
  figures.settled[pass] + figures.conflicts[pass] > 0

export function settledIn({ review, figures }: FactContext, pass: 'broad' | 'close'): Settled {
  const hows: string[] = []
  for (const [id, own] of Object.entries(review.settlements ?? {}))
    if (own[pass] && seenDifferently(held(review.rulings, id), pass)) hows.push(own[pass].how.trim())
  const settled = figures.settled[pass]
  // Where records of one work were ruled apart, not all words may be met here; then it is not known which.
  const known = hows.length === settled && hows.every(tellable)
  const often = (how: string): number => hows.filter((h) => h === how).length
  return {
    settled,
    waits: figures.conflicts[pass],
    hows: known ? [...new Set(hows)].sort((a, b) => often(b) - often(a) || (a < b ? -1 : 1)) : [],
    rule: rulesOf(review)[pass],
  }
}
