import { canonicalJson } from '../../base'
import type { Profile } from '../../profile'
import type { Source } from '../../review'
import type { Doing } from '../doing'

/** A description without its version and day: what it says. */
const saidBy = ({ version: _version, day: _day, ...said }: Profile): string => canonicalJson(said)

/**
 * Keeps a description that was typed, for its source: a changed one is the next version, of this day; one that says the same
 * stays as it is. A name that another description here has already gets a number.
 */
export const keepDescription: Doing<{ source: Source; before: Profile | undefined; typed: Profile }> = (
  { review, now },
  { source, before, typed },
) => {
  const taken = review.profiles.some((p) => p.id === typed.id) && before?.id !== typed.id
  const named = { ...typed, id: taken ? `${typed.id}-${review.profiles.length + 1}` : typed.id }
  const same = before !== undefined && saidBy(before) === saidBy(named)
  const own: Profile = same
    ? before
    : { ...named, version: before ? (before.version ?? 1) + 1 : 1, day: now.slice(0, 10) }
  return [
    ...(same ? [] : [{ kind: 'profile.set' as const, payload: own }]),
    {
      kind: 'source.set',
      payload: {
        ...source,
        name: own.name,
        profileId: own.id,
        ...(own.platform ? { platform: own.platform } : {}),
        ...(own.coverage ? { coverage: own.coverage } : {}),
      },
    },
  ]
}

/** A database that was begun and never described is not in the plan: it goes with the form that was left. */
export const leaveUndescribed: Doing<Source> = ({ review }, { id, name, profileId }) =>
  profileId === undefined && name === UNNAMED && !review.strategies[id]?.length
    ? [{ kind: 'source.remove', payload: { id } }]
    : []

/** What a database is called as long as nobody has named it. */
export const UNNAMED = 'Database'
