import type { Profile } from '../../profile'
import { standingImports, type Import, type Review, type Run } from '../../review'

/** What an export of a line would be, beside what was brought in of its source before. */
export interface ExportHere {
  /** The last run of the line; undefined before there was one. */
  run: Run | undefined
  /** What was brought in of the source and stands. */
  own: Import[]
  /** It belongs to an update of which nothing was brought in yet: then it stands beside what is here, and nothing leaves. */
  ofUpdate: boolean
  /** The source hands out fewer records than the line found: which ones they are is decided by how they are ranked there. */
  capped: { most: number; hits: number } | undefined
}

export function exportHere(
  review: Review,
  sourceId: string,
  lineId: string,
  profile: Pick<Profile, 'caps'> | undefined,
): ExportHere {
  const run = review.runs.findLast((r) => r.lineId === lineId)
  const own = standingImports(review).filter((i) => i.sourceId === sourceId)
  const round = review.rounds.at(-1)
  const most = profile?.caps.exported ?? profile?.caps.shown
  return {
    run,
    own,
    ofUpdate:
      round?.kind === 'update' &&
      own.length > 0 &&
      run?.roundId === round.id &&
      !own.some((i) => i.roundId === round.id),
    capped: run !== undefined && most !== undefined && run.hits > most ? { most, hits: run.hits } : undefined,
  }
}
