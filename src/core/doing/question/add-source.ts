import { saidBy, type Profile } from '../../profile'
import type { Command, Source } from '../../review'
import type { Doing } from '../doing'

/** A source as it is chosen; why it was taken is said later. */
export type SourceChosen = Omit<Source, 'id' | 'why'>

const set = (id: string, chosen: SourceChosen): Command => ({
  kind: 'source.set',
  payload: { id, why: '', ...chosen },
})

/** Takes sources into the plan, in their order. */
export const addSources: Doing<readonly SourceChosen[]> = ({ newId }, chosen) =>
  chosen.map((one) => set(newId(), one))

/**
 * Takes a database into the plan that a description from outside tells of, with the description. Another description that is
 * here under the same name for itself stays as it is: this one gets a number.
 */
export const addDescribed: Doing<Profile> = ({ review, newId, now }, described) => {
  const there = review.profiles.find((p) => p.id === described.id)
  const same = there !== undefined && saidBy(there) === saidBy(described)
  const profile = {
    ...described,
    ...(there && !same ? { id: `${described.id}-${review.profiles.length + 1}` } : {}),
    version: described.version ?? 1,
    day: described.day ?? now.slice(0, 10),
  }
  const { id, name, platform, coverage } = profile
  return [
    ...(same ? [] : [{ kind: 'profile.set' as const, payload: profile }]),
    set(newId(), {
      kind: 'database',
      name,
      profileId: id,
      ...(platform ? { platform } : {}),
      ...(coverage ? { coverage } : {}),
    }),
  ]
}

/** Takes a source out of the plan, with the records that it brought; what was run there stays in the journal. */
export const takeSourceOut: Doing<string> = ({ review }, id) => [
  ...review.imports
    .filter((i) => i.sourceId === id)
    .map((i) => ({ kind: 'import.remove' as const, payload: { id: i.id } })),
  { kind: 'source.remove', payload: { id } },
]
