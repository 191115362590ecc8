import type { FoundOf, SayingName } from '../../sayings'
import { duplicates } from './duplicates'
import { textsRead } from './texts-read'
import { textsWho } from './texts-who'
import { titlesAsked } from './titles-asked'
import { titlesOrder } from './titles-order'
import { titlesRead } from './titles-read'
import { titlesWho } from './titles-who'
import type { Words } from './words'

/** The words of every saying in English; one without words does not compile. */
export const WORDS: { readonly [N in SayingName]: Words<FoundOf<N>> } = {
  duplicates,
  'titles-read': titlesRead,
  'titles-who': titlesWho,
  'titles-order': titlesOrder,
  'titles-asked': titlesAsked,
  'texts-read': textsRead,
  'texts-who': textsWho,
}
