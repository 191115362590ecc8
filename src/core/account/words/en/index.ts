import type { FoundOf, SayingName } from '../../sayings'
import { cameIn } from './came-in'
import { removedUnread } from './removed-unread'
import { titlesAgreed } from './titles-agreed'
import { titlesSettled } from './titles-settled'
import { textsSought } from './texts-sought'
import { textsAgreed } from './texts-agreed'
import { textsSettled } from './texts-settled'
import { studies } from './studies'
import { updateBrought } from './update-brought'
import { countsByHand } from './counts-by-hand'
import { countsCorrected } from './counts-corrected'
import { deposited } from './deposited'
import { duplicates } from './duplicates'
import { searchAgain } from './search-again'
import { searchesWithout } from './searches-without'
import { sourceGone } from './source-gone'
import { textsAsked } from './texts-asked'
import { textsRead } from './texts-read'
import { textsReasons } from './texts-reasons'
import { textsWho } from './texts-who'
import { titlesAsked } from './titles-asked'
import { titlesOrder } from './titles-order'
import { titlesRead } from './titles-read'
import { titlesWho } from './titles-who'
import { broughtShort } from './brought-short'
import { headingsSeen } from './headings-seen'
import { limitsBeyond } from './limits-beyond'
import { notPartly } from './not-partly'
import { notSent } from './not-sent'
import { phrasesSentApart } from './phrases-apart'
import { truncation } from './truncation'
import { wayFollowed } from './way-followed'
import { wayLooked } from './way-looked'
import { wayPeople } from './way-people'
import { waysNotGone } from './ways-not-gone'
import type { Words } from './words'

/** The words of every saying in English; one without words does not compile. */
export const WORDS: { readonly [N in SayingName]: Words<FoundOf<N>> } = {
  'came-in': cameIn,
  'removed-unread': removedUnread,
  'titles-agreed': titlesAgreed,
  'titles-settled': titlesSettled,
  'texts-sought': textsSought,
  'texts-agreed': textsAgreed,
  'texts-settled': textsSettled,
  studies,
  'update-brought': updateBrought,
  duplicates,
  'titles-read': titlesRead,
  'titles-who': titlesWho,
  'titles-order': titlesOrder,
  'titles-asked': titlesAsked,
  'texts-read': textsRead,
  'texts-who': textsWho,
  'texts-asked': textsAsked,
  'texts-reasons': textsReasons,
  'way-followed': wayFollowed,
  'way-looked': wayLooked,
  'way-people': wayPeople,
  'ways-not-gone': waysNotGone,
  'source-gone': sourceGone,
  'search-again': searchAgain,
  deposited,
  'headings-seen': headingsSeen,
  truncation,
  'phrases-apart': phrasesSentApart,
  'not-sent': notSent,
  'not-partly': notPartly,
  'brought-short': broughtShort,
  'limits-beyond': limitsBeyond,
  'searches-without': searchesWithout,
  'counts-by-hand': countsByHand,
  'counts-corrected': countsCorrected,
}
