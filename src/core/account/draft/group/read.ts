import type { Claim } from '../../claims'
import type { Grouped } from '../grouped'
import { SAYINGS, type ToldSaying } from '../../sayings'
import { ofKind } from './alike'
import { toldAs } from './told-as'

const screened = { theme: 'screened', phase: 'screened', stage: 'selection' } as const
const judged = { theme: 'judged', phase: 'judged', stage: 'selection' } as const

/** What is told by sayings in a part. */
const told = (sayings: readonly ToldSaying[], theme: 'screened' | 'judged'): Grouped[] =>
  toldAs(
    sayings.filter((s) => SAYINGS[s.saying].place.theme === theme),
    ['rulings'],
  )

/** What came back, who read it by which questions, and how far readers agreed. */
export function screening(claims: readonly Claim[], sayings: readonly ToldSaying[]): Grouped[] {
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
    ...toldAs(
      sayings.filter((s) => s.saying === 'brought-short'),
      ['brought in'],
    ),
    ...told(
      sayings.filter((s) => s.saying === 'duplicates'),
      'screened',
    ),
    ...ofKind(claims, 'RemovedUnread').map(({ on, count, reasons }): Grouped => ({
      ...screened,
      tells: 'removed',
      on,
      core: true,
      count,
      reasons,
    })),
    ...told(
      sayings.filter((s) => s.saying !== 'duplicates' && s.saying !== 'brought-short'),
      'screened',
    ),
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
export function judging(claims: readonly Claim[], sayings: readonly ToldSaying[]): Grouped[] {
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
    ...told(
      sayings.filter((s) => s.saying !== 'deposited'),
      'judged',
    ),
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
