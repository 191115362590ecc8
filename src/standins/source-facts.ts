import type { SourceFacts } from '../core/account'
import type { Review } from '../core/review'
import { sourceFactsIn } from '../core/sources'
import { STANDIN_REGISTRY } from './source-info'

/** What is known of the sources of a review beside it, by their ids. */
export const sourceFactsOf = (review: Review): ((sourceId: string) => SourceFacts | undefined) =>
  sourceFactsIn(STANDIN_REGISTRY, review)
