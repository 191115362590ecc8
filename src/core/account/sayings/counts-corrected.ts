import { standingRuns } from '../../review'
import { searchedIn } from '../standing'
import type { FactContext } from '../facts'
import { saying } from './saying'

/** Runs of the databases searched that stand in the place of others which were logged wrongly. */
export const correctedRuns = ({ review }: FactContext): number => {
  const searched = new Set(searchedIn(review).map((s) => s.id))
  return standingRuns(review.runs).filter((r) => r.supersedes !== undefined && searched.has(r.sourceId))
    .length
}

/** How many runs were logged wrongly and corrected; why stands beside each. */
export const countsCorrected = saying<{ runs: number }>({
  family: 'counts corrected',
  place: { theme: 'where', phase: 'searched', stage: 'searches' },
  finds: {
    when: { corrected: (c) => correctedRuns(c) > 0 },
    found: (c) => ({ runs: correctedRuns(c) }),
  },
})
