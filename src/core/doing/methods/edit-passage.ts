import type { CommandOf } from '../../review'
import type { Doing } from '../doing'

/** Puts another text in the place of a passage of the section: from then on it is the writer’s. */
export const editPassage: Doing<CommandOf<'account.edit'>['payload']> = (_at, payload) => [
  { kind: 'account.edit', payload },
]
