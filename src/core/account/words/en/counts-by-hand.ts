import { listed } from '../../../base'
import { database } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'

const names = (ids: readonly string[]): string => listed(ids.map(database))

export const countsByHand: Words<FoundOf<'counts-by-hand'>> = {
  says: ({ typed, pasted }) => {
    const history = pasted.length === 1 ? 'from its search history' : 'from their search histories'
    if (!typed.length)
      return [
        `The counts of ${names(pasted)} were taken ${history}.`,
        `Taken ${history} were the counts of ${names(pasted)}.`,
      ]
    const also = pasted.length ? `, and those of ${names(pasted)} taken ${history}` : ''
    return [
      `The counts of ${names(typed)} were typed in by hand${also}.`,
      `Typed in by hand were the counts of ${names(typed)}${also}.`,
    ]
  },
}
