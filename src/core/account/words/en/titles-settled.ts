import type { FoundOf } from '../../sayings'
import { settled } from './settled'
import type { Words } from './words'

export const titlesSettled: Words<FoundOf<'titles-settled'>> = { says: (found) => settled('broad', found) }
