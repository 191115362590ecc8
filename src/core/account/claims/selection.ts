import type { FactContext } from '../facts'
import { passSums } from '../facts/selection'
import type { Claim, Claims } from './claim'

/** What was read in title and abstract and how it was ruled, then in full text; what nobody has ruled was not read. */
export function selection({ review, figures }: FactContext): Claims {
  const sums = passSums(figures)
  const { left } = figures.broad
  if (!sums.screened && !sums.removed) return []
  const questions = (pass: 'broad' | 'close'): string[] =>
    review.criteria.filter((k) => k.pass === pass && k.text.trim()).map((k) => k.id)
  const on = ['rulings']
  const removed: Claim[] = sums.removed
    ? [{ says: 'RemovedUnread', on, count: sums.removed, reasons: reasonsOf(sums.removedReasons) }]
    : []
  const read: Claim[] = sums.screened ? [{ says: 'Read', on, left, criterionIds: questions('broad') }] : []
  const agreed: Claim[] = figures.agreement?.both
    ? [{ says: 'Agreed', on, kappa: figures.agreement.kappa !== undefined }]
    : []
  const sought: Claim[] = sums.fetched
    ? [{ says: 'Sought', on, count: sums.sought, notHad: sums.notHad, awaited: sums.awaited }]
    : []
  const closed: Claim[] = sums.assessed
    ? [
        {
          says: 'ReadInFull',
          on,
          out: sums.out,
          open: sums.closeOpen,
          included: sums.included,
          reasons: reasonsOf(sums.outReasons),
          finished: !sums.awaited && !sums.closeOpen && !left && !sums.open,
        },
      ]
    : []
  const studies: Claim[] = figures.flow.studies !== figures.flow.included ? [{ says: 'Studies', on }] : []
  return [
    [...removed, ...read, ...agreed],
    [...sought, ...closed, ...studies],
  ]
}

const reasonsOf = (list: readonly { reason: string; count: number }[]): string[] =>
  // A reason with signs that have a meaning in a document is counted, and not told.
  list.filter((r) => r.reason !== 'none' && !/[{}*]/.test(r.reason)).map((r) => r.reason)
