import { finishedReviews, pointsOf, settlingOf, standingRuns } from '../../review'
import type { FactContext } from '../facts'
import { whenLooked } from '../search-looks'
import type { Claim } from './claim'

/**
 * Who looked the searches over, and what became of what they asked for. Somebody who ran searches of the review themselves is
 * not another person: of them nothing is claimed.
 */
export function searchReview({ review }: FactContext): Claim[] {
  const runs = standingRuns(review.runs)
  const searchers = new Set(runs.map((r) => r.by))
  return finishedReviews(review)
    .filter((r) => runs.length > 0 && !searchers.has(r.reader))
    .map((said) => {
      const { reader, finished, earlier = [] } = said
      const points = pointsOf(said)
      const done = points.map((point) => settlingOf(review, point)?.as)
      const looked = new Set(finished.of?.map((o) => o.sourceId))
      const searched = new Set(runs.map((r) => r.sourceId))
      const all = !finished.of || [...searched].every((id) => looked.has(id))
      const taken = done.filter((as) => as === 'taken').length
      const declined = done.filter((as) => as === 'declined').length
      return {
        says: 'SearchesReviewed',
        on: [`person:${reader}`],
        reader,
        as: finished.as.trim(),
        when: whenLooked(review, finished),
        ...(earlier[0] ? { first: whenLooked(review, earlier[0]) } : {}),
        ...(all ? {} : { of: { looked: looked.size, searched: searched.size } }),
        ...(finished.verdict ? { verdict: finished.verdict } : {}),
        taken,
        declined,
        waiting: points.length - taken - declined,
      }
    })
}
