import { asTold } from '../as-run'
import type { FactContext } from '../facts'
import type { Saying } from './saying'
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
import { truncation } from './truncation'
import { wayFollowed } from './way-followed'
import { wayLooked } from './way-looked'
import { wayPeople } from './way-people'
import { waysNotGone } from './ways-not-gone'

/** Everything that is told in this way, by its name, in the order in which a part tells it. */
export const SAYINGS = {
  'came-in': cameIn,
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
  'limits-beyond': limitsBeyondPlan,
  'searches-without': searchesWithout,
  'counts-by-hand': countsByHand,
  'counts-corrected': countsCorrected,
} satisfies Record<string, Saying<unknown>>

export type SayingName = keyof typeof SAYINGS
export const SAYING_NAMES = Object.keys(SAYINGS) as SayingName[]
export type FoundOf<N extends SayingName> = (typeof SAYINGS)[N] extends Saying<infer F> ? F : never

/** Is something that is told told as a saying? */
export const isSaying = (name: string): name is SayingName => Object.hasOwn(SAYINGS, name)

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

/** What there is to tell of a review. */
export const sayingsTold = (context: FactContext): ToldSaying[] => {
  const c = asTold(context)
  return SAYING_NAMES.flatMap((name) =>
    groupsOf(name, c)
      .filter((of) => isTold(name, c, undefined, of))
      .map((of) => {
        const { found } = (SAYINGS[name] as Saying<unknown>).finds
        return { saying: name, ...(of === undefined ? {} : { of }), found: found(c, of ?? '') } as ToldSaying
      }),
  )
}

export type { Family, Saying } from './saying'
