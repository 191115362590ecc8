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
