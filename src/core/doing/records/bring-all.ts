import { currentRuns, type Line, type Review, type Run, type Source } from '../../review'
import { countingLine } from '../../strategy'
import { partsOf } from './bring'

/** A search whose records are not here yet. */
export interface ToBring {
  source: Source
  line: Line
  /** The run of the line as it stands. */
  run: Run
}

/**
 * The searches whose records can be brought in together: of each of these databases, the line that counts, where it was
 * run as it stands and found something, and where nothing of the database is in the review yet. What is there already is
 * replaced or added to one by one, for that has to be said.
 */
export const toBring = (review: Review, databases: readonly string[]): ToBring[] =>
  review.sources.flatMap((source) => {
    if (!databases.includes(source.id) || partsOf(review, source.id).length) return []
    const line = countingLine(review, source.id)
    const run = line && currentRuns(review, source.id).get(line.id)
    return line && run?.hits ? [{ source, line, run }] : []
  })
