import type { LimitKind, LimitValue } from '../query'
import type { Profile } from './schema'

export type LimitState = 'exact' | 'stood in' | 'not available'

/** How a database can honour a limit of this kind. */
export function limitState(kind: LimitKind, profile: Profile): LimitState {
  const own = profile.limits[kind]
  if (!own) return 'not available'
  return own.standIn ? 'stood in' : 'exact'
}

/** What is set in the place of a limit: itself, what stands in for it, or undefined where there is nothing. */
export function limitAs(limit: LimitValue, profile: Profile): LimitValue | undefined {
  const own = profile.limits[limit.kind]
  return own && (own.as ?? limit)
}

export interface LimitHonour {
  state: LimitState
  /** How, in a few words: what stands in, where it is set, or that there is nothing. */
  how: string
}

/** How a database would honour a limit that is planned, in words to be shown beside the plan. */
export function limitHonour(kind: LimitKind, profile: Profile): LimitHonour {
  const state = limitState(kind, profile)
  const own = profile.limits[kind]
  if (!own) return { state, how: `no limit by ${kind}; read for it, or do without` }
  if (own.standIn) return { state, how: `stood in for by ${own.standIn}` }
  if (own.onScreen) return { state, how: `set on the screen: ${own.onScreen}` }
  return { state, how: 'as planned' }
}
