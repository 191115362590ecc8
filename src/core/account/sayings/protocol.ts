import { standingRuns } from '../../review'
import type { FactContext } from '../facts'
import { departures } from '../protocol/departures'
import { saying } from './saying'

const PLAN = { theme: 'where', phase: 'planned', stage: 'question' } as const

interface Frozen {
  /** Something has been searched: before the first search, or after it. */
  when: 'before' | 'after' | 'none run'
  registered: boolean
  /** In how many points the review departs from it. */
  points: number
}

const runsOf = ({ review }: FactContext) => standingRuns(review.runs)

/** When the plan was frozen, before or after the first search, and whether it was registered. */
export const protocolFrozen = saying<Frozen>({
  family: 'protocol',
  place: PLAN,
  core: true,
  finds: {
    when: { frozen: ({ review }) => (review.protocol ?? []).length > 0 },
    found: (c) => {
      const runs = runsOf(c)
      const at = Date.parse(c.review.protocol?.[0]?.at ?? '')
      // The run's own time counts, not that of the entry which logged it.
      const before = runs.every((r) => Date.parse(r.at) > at)
      return {
        when: !runs.length ? 'none run' : before ? 'before' : 'after',
        registered: c.review.registration !== undefined,
        points: runs.length ? departures(c).length : 0,
      }
    },
  },
})

/** How often it was amended, when, and why where it was once. */
export const protocolAmended = saying<{ times: number; reason: string }>({
  family: 'amendments',
  place: PLAN,
  finds: {
    when: { amended: ({ review }) => (review.protocol ?? []).length > 1 },
    found: ({ review }) => {
      const amendments = (review.protocol ?? []).slice(1)
      return { times: amendments.length, reason: amendments.length === 1 ? (amendments[0]!.why ?? '') : '' }
    },
  },
})

/** In how much what was done differs from it: told when all that was done has been told. */
export const departed = saying<{ points: number }>({
  family: 'departures',
  place: { theme: 'judged', phase: 'judged', stage: 'question' },
  finds: {
    when: {
      differs: (c) => departures(c).length > 0,
      // What has not been begun cannot have departed.
      begun: (c) => runsOf(c).length > 0,
    },
    found: (c) => ({ points: departures(c).length }),
  },
})
