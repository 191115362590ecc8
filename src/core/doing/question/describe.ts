import { saidBy, type Profile } from '../../profile'
import type { Review, Source } from '../../review'
import { lineToSend } from '../../strategy'
import type { Doing } from '../doing'
import { UNNAMED } from './unnamed'

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

/** A line that is sent otherwise by another description. */
export interface SentOtherwise {
  number: number
  was: string
  becomes: string
}

/** The lines of a source that another description writes otherwise than the one that it has; empty where there are none. */
export function linesOtherwise(
  { strategies, runs }: Review,
  sourceId: string,
  before: Profile,
  after: Profile,
): SentOtherwise[] {
  const lines = strategies[sourceId] ?? []
  return lines.flatMap((line, n) => {
    if (line.described !== undefined || !line.text) return []
    const [was, becomes] = [before, after].map((p) => lineToSend(lines, n + 1, p, runs)?.text ?? '')
    return was === becomes ? [] : [{ number: n + 1, was: was!, becomes: becomes! }]
  })
}
