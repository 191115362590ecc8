import { canonicalJson } from '../base'
import { readProfile, type Profile } from './schema'

/** What a description says, without its version and day. */
export const saidBy = ({ version: _version, day: _day, ...said }: Profile): string => canonicalJson(said)

/** Is a description younger than another of the same database: by its day, then by its version? */
const younger = (a: Profile, b: Profile): boolean =>
  (a.day ?? '') === (b.day ?? '') ? (a.version ?? 1) > (b.version ?? 1) : (a.day ?? '') > (b.day ?? '')

/**
 * Descriptions kept beside all reviews with one more: of each database the youngest. The same list where it says nothing new.
 */
export function withDescription(shelf: readonly Profile[], profile: Profile): readonly Profile[] {
  const before = shelf.find((p) => p.id === profile.id)
  if (before && !younger(profile, before)) return shelf
  return [...shelf.filter((p) => p !== before), profile].sort((a, b) => (a.name < b.name ? -1 : 1))
}

/** The shelf as it was kept: what is no description any more is passed over, and not taken away. */
export const readShelf = (value: unknown): Profile[] =>
  Array.isArray(value)
    ? value.flatMap((one) => {
        const read = readProfile(one)
        return read.ok ? [read.value] : []
      })
    : []

/** How a database was described elsewhere since: younger than here, and saying something else. Undefined where it was not. */
export function describedSince(shelf: readonly Profile[], own: Profile): Profile | undefined {
  const there = shelf.find((p) => p.id === own.id)
  return there && younger(there, own) && saidBy(there) !== saidBy(own) ? there : undefined
}
