import type { Claim } from '../../claims'
import type { Grouped } from '../grouped'
import { evidence, ofKind } from './alike'

const screened = { theme: 'screened', phase: 'screened', stage: 'selection' } as const
const judged = { theme: 'judged', phase: 'judged', stage: 'selection' } as const

/** What came back, who read it by which questions, and how far readers agreed. */
export function screening(claims: readonly Claim[], readers: number): Grouped[] {
  return [
    ...ofKind(claims, 'BroughtIn').map(({ on, ofHits }): Grouped => ({
      ...screened,
      stage: 'records',
      tells: 'brought',
      on,
      core: true,
      ofHits,
      merged: ofKind(claims, 'Merged').length > 0,
      once: ofKind(claims, 'FoundOnce').length > 0,
    })),
    ...ofKind(claims, 'RemovedUnread').map(({ on, count, reasons }): Grouped => ({
      ...screened,
      tells: 'removed',
      on,
      core: true,
      count,
      reasons,
    })),
    ...ofKind(claims, 'Read').map(({ on, left, out, open, toSettle }): Grouped => ({
      ...screened,
      tells: 'read',
      on,
      core: true,
      left,
      out,
      open,
      toSettle,
      readers,
    })),
    ...ofKind(claims, 'ReadInOrder').map(({ on, orders }): Grouped => ({
      ...screened,
      tells: 'in order',
      on,
      orders,
    })),
    ...ofKind(claims, 'Read')
      .filter((c) => c.criterionIds.length)
      .map(({ on, criterionIds }): Grouped => ({ ...screened, tells: 'questions', on, criterionIds })),
    ...ofKind(claims, 'Agreed').map(({ on, pairs, kappa, interval }): Grouped => ({
      ...screened,
      tells: 'agreed',
      on,
      core: true,
      pairs,
      kappa,
      interval,
    })),
    ...ofKind(claims, 'Settled').map(({ on, how, all }): Grouped => ({
      ...screened,
      tells: 'settled',
      on,
      how,
      all,
    })),
  ]
}

/** The full texts, what became of them, and what an update brought. */
export function judging(claims: readonly Claim[]): Grouped[] {
  const read = ofKind(claims, 'ReadInFull')
  return [
    ...ofKind(claims, 'Sought')
      .filter((c) => c.count > 0)
      .map(({ on, notLooked, notHad, awaited }): Grouped => ({
        ...judged,
        tells: 'sought',
        on,
        core: true,
        notLooked,
        notHad,
        awaited,
      })),
    ...read.map(({ on, out, open, toSettle, noText, included, reasons, finished }): Grouped => ({
      ...judged,
      tells: 'read in full',
      on: [...new Set([...on, ...evidence(read)])],
      core: true,
      out,
      open,
      toSettle,
      noText,
      included,
      reasons,
      finished,
    })),
    ...ofKind(claims, 'Studies').map(({ on }): Grouped => ({ ...judged, tells: 'studies', on, core: true })),
    ...ofKind(claims, 'Updated').map(({ on, round, included }): Grouped => ({
      ...judged,
      tells: 'updated',
      on,
      core: true,
      round,
      included,
    })),
  ]
}
