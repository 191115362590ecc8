import type { Profile } from '../../core/profile'
import fernhollow from './fernhollow.json'
import girder from './girder.json'
import mindmere from './mindmere.json'
import quayside from './quayside.json'
import wideband from './wideband.json'
import { readProfile } from '../../core/profile'

function checked(value: unknown): Profile {
  const read = readProfile(value)
  if (!read.ok) throw new Error(read.problems.map((p) => p.message).join('\n'))
  return read.value
}

/** The profiles of the stand-ins, by id. */
export const PROFILES: Readonly<Record<string, Profile>> = Object.fromEntries(
  [fernhollow, girder, mindmere, wideband, quayside].map(checked).map((p) => [p.id, p]),
)
