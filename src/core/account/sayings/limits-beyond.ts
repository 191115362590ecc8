import { keptFor } from '../../base'
import { sameLimit, type LimitValue } from '../../query'
import type { Review } from '../../review'
import { limitsThatCount } from '../../strategy'
import { finalRun, searchedIn } from '../standing'
import { saying } from './saying'

/** Limits that the search of a source had, and that are not in the plan; by source, where there are any. */
export const limitsBeyond = keptFor((review: Review): ReadonlyMap<string, readonly LimitValue[]> => {
  const found = new Map<string, readonly LimitValue[]>()
  for (const { id } of searchedIn(review)) {
    if (!finalRun(review, id)) continue
    const beyond = limitsThatCount(review.strategies[id] ?? []).filter(
      (l, n, all) =>
        all.findIndex((other) => sameLimit(other, l)) === n &&
        !review.limits.some((planned) => sameLimit(planned.limit, l)),
    )
    if (beyond.length) found.set(id, beyond)
  }
  return found
})

/** What was searched with a limit that nobody planned, as most histories from elsewhere are. */
export const limitsBeyondPlan = saying<{ id: string; planned: boolean }>({
  family: 'limits beyond the plan',
  groups: ({ review }) => [...limitsBeyond(review).keys()],
  place: { theme: 'words', phase: 'searched', stage: 'searches' },
  core: true,
  finds: {
    when: {},
    found: ({ review }, id) => ({ id, planned: review.limits.length > 0 }),
  },
})
