import type { Profile } from '../../profile'
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

/** Takes a database into the plan that a description from outside tells of, with the description. */
export const addDescribed: Doing<Profile> = ({ newId }, profile) => {
  const { id, name, platform, coverage } = profile
  return [
    { kind: 'profile.set', payload: profile },
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
