import type { FoundOf, SayingName } from '../../sayings'
import { asked, divided, oneEnough, notRequired } from './question'
import { protocolFrozen, protocolAmended, departed } from './protocol'
import { searched, toSearch, indexed, toSearchBesides, together } from './sources'
import { chosen } from './chosen'
import { searchedOn, searchedAgain } from './searched-on'
import { wayGone, pagesNoted, waysAtOnce, wayPlanned } from './ways'
import { askedWith, askedOtherwise } from './asked-with'
import { noNearness, leftOut, withoutQuery, takenOver } from './as-sent'
import { terms, noHeading, dropped } from './terms'
import { knownNamed, knownAdded, knownFound } from './known'
import { limitsKept, limitsPlanned, limitsDropped, limitInSome, noLimit, stoodIn } from './limits-planned'
import { searchReviewed, pointsRaised } from './search-reviewed'
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
import { searchedBefore } from './searched-before'
import { stemmed } from './stemmed'
import { truncation } from './truncation'
import { wayFollowed } from './way-followed'
import { wayLooked } from './way-looked'
import { wayPeople } from './way-people'
import { waysNotGone } from './ways-not-gone'
import type { Words } from './words'

/** The words of every saying in English; one without words does not compile. */
export const WORDS: { readonly [N in SayingName]: Words<FoundOf<N>> } = {
  asked,
  'protocol-frozen': protocolFrozen,
  'protocol-amended': protocolAmended,
  searched,
  'to-search': toSearch,
  indexed,
  'to-search-besides': toSearchBesides,
  chosen,
  together,
  'searched-on': searchedOn,
  'searched-again': searchedAgain,
  'searched-before': searchedBefore,
  'counts-by-hand': countsByHand,
  'counts-corrected': countsCorrected,
  'source-gone': sourceGone,
  'way-gone': wayGone,
  'way-followed': wayFollowed,
  'way-looked': wayLooked,
  'way-people': wayPeople,
  'pages-noted': pagesNoted,
  'ways-at-once': waysAtOnce,
  'way-planned': wayPlanned,
  'ways-not-gone': waysNotGone,
  'search-again': searchAgain,
  divided,
  'one-enough': oneEnough,
  'not-required': notRequired,
  'asked-with': askedWith,
  'asked-otherwise': askedOtherwise,
  'no-nearness': noNearness,
  'left-out': leftOut,
  'without-query': withoutQuery,
  truncation,
  stemmed,
  'phrases-apart': phrasesSentApart,
  'not-sent': notSent,
  'not-partly': notPartly,
  'taken-over': takenOver,
  terms,
  'no-heading': noHeading,
  dropped,
  'headings-seen': headingsSeen,
  'known-named': knownNamed,
  'known-added': knownAdded,
  'limits-kept': limitsKept,
  'limits-planned': limitsPlanned,
  'limits-dropped': limitsDropped,
  'limit-in-some': limitInSome,
  'no-limit': noLimit,
  'stood-in': stoodIn,
  'limits-beyond': limitsBeyond,
  'search-reviewed': searchReviewed,
  'points-raised': pointsRaised,
  'searches-without': searchesWithout,
  'came-in': cameIn,
  'known-found': knownFound,
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
  'brought-short': broughtShort,
  departed,
  deposited,
}
