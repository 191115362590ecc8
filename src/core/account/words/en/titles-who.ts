import type { FoundOf } from '../../sayings'
import { whoRead } from './who-read'
import type { Words } from './words'

export const titlesWho: Words<FoundOf<'titles-who'>> = {
  says: ({ groups }, say, context) => whoRead('broad', groups, say, context),
}
