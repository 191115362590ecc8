import type { Review } from '../review'
import { leavingOut } from './leaving-out'
import { runsBehind } from './standing'

/** Numbers of the lines that count of a source whose NOT was not sent at all, or only in part, in their order. */
export const linesWithoutNot = (
  review: Review,
  sourceId: string,
  became: 'lost' | 'partly' = 'lost',
): number[] =>
  [
    ...new Set(
      runsBehind(review, sourceId).flatMap((run) => (leavingOut(run).includes(became) ? [run.number] : [])),
    ),
  ].sort((a, b) => a - b)
