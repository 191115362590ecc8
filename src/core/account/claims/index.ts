import { keptFor } from '../../base'
import { asTold } from '../as-run'
import type { FactContext } from '../facts'
import type { Claim } from './claim'
import { protocol } from './protocol'
import { question } from './question'
import { searchReview } from './search-review'
import { searches } from './searches'
import { sources } from './sources'
import { terms } from './terms'

const SELECT = [question, protocol, sources, terms, searches, searchReview] as const

/**
 * What there is to be said of a review, found before a word is written. Planned, set and run are different facts: a claim
 * tells as done only what a run, an import or a ruling shows.
 */
export const selectClaims = keptFor((context: FactContext): Claim[] => {
  const told = asTold(context)
  return SELECT.flatMap((of) => of(told))
})

export type { Claim, ClaimOf, Evidence } from './claim'
