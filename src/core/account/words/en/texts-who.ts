import type { FoundOf } from '../../sayings'
import { whoRead } from './who-read'
import type { Words } from './words'

export const textsWho: Words<FoundOf<'texts-who'>> = {
  says: ({ groups }, say, context) => whoRead('close', groups, say, context),
}
