import type { FactContext } from '../facts'
import { pairsOf, passSums } from '../facts/selection'
import type { Claim } from './claim'

/** What was read in title and abstract and how it was ruled, then in full text; what nobody has ruled was not read. */
export function selection({ review, figures }: FactContext): Claim[] {
  const sums = passSums(figures)
  if (!sums.screened && !sums.removed) return []
  const on = ['rulings']
  const removed: Claim[] = sums.removed
    ? [{ says: 'RemovedUnread', on, count: sums.removed, reasons: reasonsOf(sums.removedReasons) }]
    : []
  const pairs = pairsOf(figures)
  const agreed: Claim[] = pairs.length
    ? [
        {
          says: 'Agreed',
          on,
          pairs: pairs.length,
          kappa: pairs.every((p) => p.kappa !== undefined),
          interval: pairs.every((p) => p.interval !== undefined),
        },
      ]
    : []
  const settlements = Object.values(review.settlements ?? {}).flatMap((s) => s.broad ?? [])
  const hows = new Set(settlements.map((s) => s.how.trim()))
  const settled: Claim[] = figures.settled.broad
    ? [
        {
          says: 'Settled',
          on,
          how: hows.size === 1 ? [...hows][0] : undefined,
          all: !figures.conflicts.broad,
        },
      ]
    : []
  const sought: Claim[] = sums.fetched
    ? [
        {
          says: 'Sought',
          on,
          count: sums.sought,
          notLooked: sums.notLooked,
          notHad: sums.notHad,
          awaited: sums.awaited,
        },
      ]
    : []
  const studies: Claim[] = figures.flow.studies !== figures.flow.included ? [{ says: 'Studies', on }] : []
  const updates = figures.flow.rounds.slice(1).map(({ included }, n): Claim => ({
    says: 'Updated',
    on,
    round: n + 1,
    included,
  }))
  return [...removed, ...agreed, ...settled, ...sought, ...studies, ...updates]
}

const reasonsOf = (list: readonly { reason: string; count: number }[]): string[] =>
  // A reason with signs that have a meaning in a document is counted, and not told.
  list.filter((r) => r.reason !== 'none' && !/[{}*]/.test(r.reason)).map((r) => r.reason)
