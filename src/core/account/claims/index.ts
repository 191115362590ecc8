import type { PassageId } from '../document'
import type { FactContext } from '../facts'
import type { Claims } from './claim'
import { question } from './question'
import { records } from './records'
import { searches } from './searches'
import { selection } from './selection'
import { sources } from './sources'
import { terms } from './terms'

const SELECT: Record<PassageId, (c: FactContext) => Claims> = {
  question,
  sources,
  terms,
  searches,
  records,
  selection,
}

/**
 * What there is to be said in a passage, found before a word is written. Planned, set and run are different facts: a
 * claim tells as done only what a run, an import or a ruling shows.
 */
export const selectClaims = (context: FactContext, passage: PassageId): Claims =>
  SELECT[passage](context).filter((paragraph) => paragraph.length > 0)

export type { Claim, ClaimOf, Claims, Evidence } from './claim'
