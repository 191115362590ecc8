import { currentRuns, type Review } from '../../review'

/** How the sheets of a review stand, all together. */
export interface SheetsStand {
  /** Lines that are searched here and were not run as they stand. */
  stale: number
  /** Lines of databases outside whose count is not logged as they stand. */
  elsewhere: number
  /** Sources without any line. */
  undrafted: number
}

/** `searched`: the sources that are searched here; a search that was only described is run by nobody. */
export function sheetsStand(
  review: Review,
  sources: readonly { id: string; searched: boolean }[],
): SheetsStand {
  const stand: SheetsStand = { stale: 0, elsewhere: 0, undrafted: 0 }
  for (const { id, searched } of sources) {
    const lines = review.strategies[id] ?? []
    const ran = currentRuns(review, id)
    if (!lines.length) stand.undrafted++
    for (const line of lines) {
      if (ran.has(line.id)) continue
      if (!searched) stand.elsewhere++
      else if (line.described === undefined) stand.stale++
    }
  }
  return stand
}
