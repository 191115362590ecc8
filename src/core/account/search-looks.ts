import { standingRuns, type Review, type SearchReviewed } from '../review'

/** Whether a reviewer looked before the strategies were run, between two days on which they were, or afterwards. */
export type WhenLooked = 'before' | 'between' | 'after' | 'none run'

/** When a look at the strategies was finished, held against the runs of the databases that were looked at. */
export function whenLooked(review: Pick<Review, 'runs'>, { at, of }: SearchReviewed): WhenLooked {
  const looked = of && new Set(of.map((o) => o.sourceId))
  const days = standingRuns(review.runs)
    .filter((r) => looked?.has(r.sourceId) ?? true)
    .map((r) => Date.parse(r.at))
  if (!days.length) return 'none run'
  const when = Date.parse(at)
  if (when <= Math.min(...days)) return 'before'
  return when >= Math.max(...days) ? 'after' : 'between'
}

export const WHEN_LOOKED: Readonly<Record<WhenLooked, string>> = {
  before: 'before the first search',
  between: 'after the first search and before the last',
  after: 'after the searches',
  'none run': '',
}
