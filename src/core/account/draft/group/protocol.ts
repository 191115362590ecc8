import type { Claim } from '../../claims'
import type { Grouped } from '../grouped'
import { ofKind } from './alike'

const PLAN = { theme: 'where', phase: 'planned', stage: 'question' } as const

/** The protocol and its amendments. */
export const protocol = (claims: readonly Claim[]): Grouped[] => [
  ...ofKind(claims, 'ProtocolFrozen').map(({ on, begun, beforeSearch, registered }): Grouped => ({
    ...PLAN,
    tells: 'protocol',
    on,
    core: true,
    begun,
    beforeSearch,
    registered,
  })),
  ...ofKind(claims, 'ProtocolAmended').map(({ on, times, reason }): Grouped => ({
    ...PLAN,
    tells: 'amended',
    on,
    times,
    reason,
  })),
]

/** In how much the review departed from it: told when all that was done has been told. */
export const departing = (claims: readonly Claim[]): Grouped[] =>
  ofKind(claims, 'Departed').map(({ on, points }): Grouped => ({
    theme: 'judged',
    phase: 'judged',
    stage: 'question',
    tells: 'departed',
    on,
    core: true,
    points,
  }))
