import type { FoundOf } from '../../sayings'
import { databases, were } from './speaker'
import type { Words } from './words'

export const searchedBefore: Words<FoundOf<'searched-before'>> = {
  says: ({ sourceIds: ids }) => {
    const unknown = 'with which words, limits and filters is not known here'
    return [
      `The ${ids.length === 1 ? 'search' : 'searches'} in ${databases(ids)} ${were(ids.length)} made before this record was kept; ${unknown}.`,
      `Before this record was kept, ${databases(ids)} ${were(ids.length)} searched; ${unknown}.`,
    ]
  },
}
