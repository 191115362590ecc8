import type { Claim } from '../claims'
import type { FactContext } from '../facts'
import { QUESTION } from './question'
import { RECORDS } from './records'
import type { Say } from './say'
import { SEARCHES } from './searches'
import { SELECTION } from './selection'
import { SOURCES } from './sources'
import { TERMS } from './terms'

/** How a claim of each kind is said; a claim for which there are no words does not compile. */
type Sentences = {
  [K in Claim['says']]: (claim: Extract<Claim, { says: K }>, say: Say, context: FactContext) => string
}

const SENTENCES: Sentences = { ...QUESTION, ...SOURCES, ...TERMS, ...SEARCHES, ...RECORDS, ...SELECTION }

/** A claim in words, with its facts bound by name; one sentence or a few. */
export const sentenceOf = (claim: Claim, context: FactContext, say: Say): string =>
  (SENTENCES[claim.says] as (claim: Claim, say: Say, context: FactContext) => string)(claim, say, context)
