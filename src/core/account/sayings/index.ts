import { asTold } from '../as-run'
import type { FactContext } from '../facts'
import type { Saying } from './saying'
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
import { broughtShort } from './brought-short'
import { countsByHand } from './counts-by-hand'
import { countsCorrected } from './counts-corrected'
import { deposited } from './deposited'
import { duplicates } from './duplicates'
import { headingsSeen } from './headings-seen'
import { limitsBeyondPlan } from './limits-beyond'
import { notPartly } from './not-partly'
import { notSent } from './not-sent'
import { phrasesSentApart } from './phrases-apart'
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
import { searchedBefore } from './searched-before'
import { stemmed } from './stemmed'
import { truncation } from './truncation'
import { wayFollowed } from './way-followed'
import { wayLooked } from './way-looked'
import { wayPeople } from './way-people'
import { waysNotGone } from './ways-not-gone'

/** Everything that is told in this way, by its name, in the order in which a part tells it. */
export const SAYINGS = {
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
  'limits-beyond': limitsBeyondPlan,
  'search-reviewed': searchReviewed,
  'points-raised': pointsRaised,
  'searches-without': searchesWithout,
  'came-in': cameIn,
  'known-found': knownFound,
  'brought-short': broughtShort,
  duplicates,
  'removed-unread': removedUnread,
  'titles-read': titlesRead,
  'titles-who': titlesWho,
  'titles-order': titlesOrder,
  'titles-asked': titlesAsked,
  'titles-agreed': titlesAgreed,
  'titles-settled': titlesSettled,
  'texts-sought': textsSought,
  'texts-read': textsRead,
  'texts-reasons': textsReasons,
  'texts-who': textsWho,
  'texts-asked': textsAsked,
  'texts-agreed': textsAgreed,
  'texts-settled': textsSettled,
  studies,
  'update-brought': updateBrought,
  departed,
  deposited,
} satisfies Record<string, Saying<unknown>>

export type SayingName = keyof typeof SAYINGS
export const SAYING_NAMES = Object.keys(SAYINGS) as SayingName[]
export type FoundOf<N extends SayingName> = (typeof SAYINGS)[N] extends Saying<infer F> ? F : never

/** A saying that is told, with what it found, and of what it is told where that is not the review. */
export type ToldSaying = { [N in SayingName]: { saying: N; of?: string; found: FoundOf<N> } }[SayingName]

/** Is a saying told: do all its conditions hold? `supposed`: a condition taken as if it held, to see what it is good for. */
export function isTold(name: SayingName, c: FactContext, supposed?: string, of = ''): boolean {
  const when: Saying<unknown>['finds']['when'] = SAYINGS[name].finds.when
  return Object.entries(when).every(([condition, holds]) => condition === supposed || holds(c, of))
}

/** Of what a saying could be told: parts of the review by id, or the review, which has none. */
export const groupsOf = (name: SayingName, c: FactContext): readonly (string | undefined)[] =>
  (SAYINGS[name] as Saying<unknown>).groups?.(c) ?? [undefined]

/** What there is to tell of a review, in the order in which it is told. */
export const sayingsTold = (context: FactContext): ToldSaying[] => {
  const c = asTold(context)
  return blocks.flatMap((names) => {
    const told = names.flatMap((name) =>
      groupsOf(name, c)
        .filter((of) => isTold(name, c, undefined, of))
        .map((of) => {
          const { found } = SAYINGS[name].finds as Saying<unknown>['finds']
          return {
            saying: name,
            ...(of === undefined ? {} : { of }),
            found: found(c, of ?? ''),
          } as ToldSaying
        }),
    )
    // What is told along with others is told of one after the other.
    const ofWhich = [...new Set(told.map((t) => t.of))]
    return names.length > 1 ? ofWhich.flatMap((of) => told.filter((t) => t.of === of)) : told
  })
}

/** Names in order, those that are told along with each other together. */
const blocks = SAYING_NAMES.reduce<SayingName[][]>((all, name) => {
  const { along } = SAYINGS[name] as Saying<unknown>
  const last = all.at(-1)?.at(-1)
  const before = last === undefined ? undefined : (SAYINGS[last] as Saying<unknown>).along
  if (along !== undefined && along === before) all.at(-1)!.push(name)
  else all.push([name])
  return all
}, [])

export type { Family, Phase, Place, Saying, Theme } from './saying'
