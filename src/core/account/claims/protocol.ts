import { standingRuns } from '../../review'
import type { FactContext } from '../facts'
import { departures } from '../protocol'
import type { Claim } from './claim'

/** The protocol: when it was frozen, what was amended, and in how much the review departed from it. */
export function protocol(context: FactContext): Claim[] {
  const { review } = context
  const [first, ...amendments] = review.protocol ?? []
  if (!first) return []
  const on = ['plan']
  const runs = standingRuns(review.runs)
  const points = departures(context).length
  return [
    {
      says: 'ProtocolFrozen',
      on,
      begun: runs.length > 0,
      // The run's own time counts, not that of the entry which logged it.
      beforeSearch: runs.length > 0 && runs.every((r) => Date.parse(r.at) > Date.parse(first.at)),
      registered: review.registration !== undefined,
    },
    ...(amendments.length
      ? [
          {
            says: 'ProtocolAmended' as const,
            on,
            times: amendments.length,
            reason: amendments.length === 1 ? (amendments[0]!.why ?? '') : '',
          },
        ]
      : []),
    // What has not been begun cannot have departed.
    ...(points && runs.length ? [{ says: 'Departed' as const, on, points }] : []),
  ]
}
