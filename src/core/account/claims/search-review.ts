import { finishedReviews, settlingOf, standingRuns } from '../../review'
import type { FactContext } from '../facts'
import type { Claim } from './claim'

/**
 * Who looked the searches over, and what became of their comments. Somebody who ran searches of the review themselves is
 * not another person: of them nothing is claimed.
 */
export function searchReview({ review }: FactContext): Claim[] {
  const runs = standingRuns(review.runs)
  const searchers = new Set(runs.map((r) => r.by))
  return finishedReviews(review)
    .filter((r) => runs.length > 0 && !searchers.has(r.reader))
    .map(({ reader, comments, finished }) => {
      const done = comments.map((c) => settlingOf(review, c)?.as)
      const taken = done.filter((as) => as === 'taken').length
      const declined = done.filter((as) => as === 'declined').length
      return {
        says: 'SearchesReviewed',
        on: [`person:${reader}`],
        reader,
        as: finished.as.trim(),
        taken,
        declined,
        waiting: comments.length - taken - declined,
      }
    })
}
