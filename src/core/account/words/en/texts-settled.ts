import type { FoundOf } from '../../sayings'
import { settled } from './settled'
import type { Words } from './words'

export const textsSettled: Words<FoundOf<'texts-settled'>> = { says: (found) => settled('close', found) }
