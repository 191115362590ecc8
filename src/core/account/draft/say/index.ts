import type { FactContext } from '../../facts'
import { WORDS as ENGLISH } from '../../words/en'
import type { Words } from '../../words/en/words'
import type { Grouped, GroupedOf } from '../grouped'
import { PROTOCOL } from './protocol'
import { SEARCH_REVIEW } from './search-review'
import type { Say } from './speaker'
import { WHERE } from './where'
import { WORDS } from './words'

/** How each thing is told, in ways that begin differently, the best first; one without words does not compile. */
type Sayings = {
  [K in Grouped['tells']]: (told: Extract<Grouped, { tells: K }>, say: Say, context: FactContext) => string[]
}

const saying = (told: GroupedOf<'saying'>, say: Say, context: FactContext): string[] => {
  const words = ENGLISH[told.saying] as Words<typeof told.found>
  return (told.short && words.short ? words.short : words.says)(told.found, say, context)
}

const SAYINGS: Sayings = { saying, ...WHERE, ...PROTOCOL, ...WORDS, ...SEARCH_REVIEW }

/** Templates for what is told; facts stand in them by name. */
export const sayingsOf = (told: Grouped, say: Say, context: FactContext): string[] =>
  (SAYINGS[told.tells] as (told: Grouped, say: Say, context: FactContext) => string[])(told, say, context)

export { speaker } from './speaker'
