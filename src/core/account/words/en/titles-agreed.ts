import type { FoundOf } from '../../sayings'
import { agreed, agreedShort } from './agreed'
import type { Words } from './words'

export const titlesAgreed: Words<FoundOf<'titles-agreed'>> = {
  says: (found) => agreed('broad', found),
  short: (found) => agreedShort('broad', found),
}
