import type { FactContext } from '../facts'
import type { Saying } from './saying'
import { duplicates } from './duplicates'
import { textsRead } from './texts-read'
import { textsWho } from './texts-who'
import { titlesAsked } from './titles-asked'
import { titlesOrder } from './titles-order'
import { titlesRead } from './titles-read'
import { titlesWho } from './titles-who'

/** Everything that is told in this way, by its name, in the order in which a part tells it. */
export const SAYINGS = {
  duplicates,
  'titles-read': titlesRead,
  'titles-who': titlesWho,
  'titles-order': titlesOrder,
  'titles-asked': titlesAsked,
  'texts-read': textsRead,
  'texts-who': textsWho,
} satisfies Record<string, Saying<unknown>>

export type SayingName = keyof typeof SAYINGS
export const SAYING_NAMES = Object.keys(SAYINGS) as SayingName[]
export type FoundOf<N extends SayingName> = (typeof SAYINGS)[N] extends Saying<infer F> ? F : never

/** A saying that is told, with what it found. */
export type ToldSaying = { [N in SayingName]: { saying: N; found: FoundOf<N> } }[SayingName]

/** Is a saying told: do all its conditions hold? `supposed`: a condition taken as if it held, to see what it is good for. */
export function isTold(name: SayingName, c: FactContext, supposed?: string): boolean {
  const { when } = SAYINGS[name].finds
  return Object.entries(when).every(([condition, holds]) => condition === supposed || holds(c))
}

/** What there is to tell of a review. */
export const sayingsTold = (c: FactContext): ToldSaying[] =>
  SAYING_NAMES.filter((name) => isTold(name, c)).map(
    (name) => ({ saying: name, found: SAYINGS[name].finds.found(c) }) as ToldSaying,
  )

export type { Family, Saying } from './saying'
