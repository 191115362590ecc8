import { were } from './speaker'
import type { FoundOf } from '../../sayings'
import { reasonsTold } from './reasons'
import type { Words } from './words'
import { fact } from './fact'

type Found = FoundOf<'removed-unread'>

const says = ({ count }: Found, why: readonly string[]): string[] => {
  const for_ = why.length ? ` (${why.join(', ')})` : ''
  return [
    `Before anything was read, ${fact('broad.removed')} ${were(count)} removed${for_}.`,
    `${fact('^broad.removed')} ${were(count)} removed before anything was read${for_}.`,
  ]
}

export const removedUnread: Words<Found> = {
  says: (found) => says(found, reasonsTold('removed', found.reasons)),
  short: (found) => says(found, []),
}
