import type { FactContext } from '../../facts'
import type { Grouped } from '../grouped'
import { PROTOCOL } from './protocol'
import { READ } from './read'
import { SEARCH_REVIEW } from './search-review'
import type { Say } from './speaker'
import { WHERE } from './where'
import { WORDS } from './words'

/** How each thing is told, in ways that begin differently, the best first; one without words does not compile. */
type Sayings = {
  [K in Grouped['tells']]: (told: Extract<Grouped, { tells: K }>, say: Say, context: FactContext) => string[]
}

const SAYINGS: Sayings = { ...WHERE, ...PROTOCOL, ...WORDS, ...SEARCH_REVIEW, ...READ }

/** Templates for what is told; facts stand in them by name. */
export const sayingsOf = (told: Grouped, say: Say, context: FactContext): string[] =>
  (SAYINGS[told.tells] as (told: Grouped, say: Say, context: FactContext) => string[])(told, say, context)

export { speaker } from './speaker'
