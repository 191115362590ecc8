import { passSums } from '../facts/selection'
import type { FactContext } from '../facts'
import { standingRuns } from '../../review'
import { searchedIn, searchedUnknown } from '../standing'
import { reviewersOf } from './search-reviewed'
import { saying } from './saying'

/** What a reader may expect of strategies, and these have not; by PRISMA-S items 9 to 11 and 14. */
export type Without = 'limits' | 'filter' | 'earlier' | 'review'

function without(c: FactContext): Without[] {
  const { review } = c
  const runs = standingRuns(review.runs)
  const lines = searchedIn(review).flatMap((s) => review.strategies[s.id] ?? [])
  const ran = new Set(runs.map((r) => r.lineId))
  const taken = new Set(lines.flatMap((l) => (l.takenOver && ran.has(l.id) ? [l.takenOver.what] : [])))
  const limited = review.limits.length > 0 || runs.some((r) => r.limits.length > 0)
  // Of a search that nobody here knows it is not said what it had not.
  const unknown = searchedUnknown(review).length > 0
  return [
    ...(unknown || limited ? [] : ['limits' as const]),
    ...(unknown || taken.has('filter') ? [] : ['filter' as const]),
    ...(unknown || taken.has('earlier strategy') ? [] : ['earlier' as const]),
    ...(reviewersOf(c).length ? [] : ['review' as const]),
  ]
}

/** What was not done with the strategies, once reading has begun. */
export const searchesWithout = saying<{ what: Without[] }>({
  family: 'not used in searches',
  place: { theme: 'words', phase: 'searched', stage: 'searches' },
  finds: {
    when: {
      searched: ({ review }) => searchedIn(review).length > 0,
      read: ({ figures }) => passSums(figures).screened > 0,
      lacking: (c) => without(c).length > 0,
    },
    found: (c) => ({ what: without(c) }),
  },
})
