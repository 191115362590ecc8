import type { FoundOf } from '../../sayings'
import { agreed, agreedShort } from './agreed'
import type { Words } from './words'

export const textsAgreed: Words<FoundOf<'texts-agreed'>> = {
  says: (found) => agreed('close', found),
  short: (found) => agreedShort('close', found),
}
