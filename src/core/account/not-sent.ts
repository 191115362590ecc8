import type { Review } from '../review'
import { leavingOut } from './leaving-out'
import { runsBehind } from './standing'

/** Numbers of the lines that count of a source whose NOT was not sent, in their order. */
export const linesWithoutNot = (review: Review, sourceId: string): number[] =>
  [
    ...new Set(
      runsBehind(review, sourceId).flatMap((run) => (leavingOut(run).includes('lost') ? [run.number] : [])),
    ),
  ].sort((a, b) => a - b)
