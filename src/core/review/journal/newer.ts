import { dateWords, problem, type Problem } from '../../base'
import { isWithheld, type Entry } from './entry'
import { SCHEMA_VERSION } from './migrations'

/**
 * The first entry that a newer version wrote; undefined where this one wrote or knows all of them. An entry may look like one
 * that is known here and mean more: a review with such an entry is shown as far as it is understood, nothing is written into
 * it, and nothing is made of it that would speak as if it were whole.
 */
export const writtenByNewer = (entries: readonly Entry[]): Entry | undefined =>
  // What was withheld says nothing, in whatever version.
  entries.find((entry) => entry.v > SCHEMA_VERSION && !isWithheld(entry))

/** Why something is not done with a review in which a newer version wrote; undefined where none did. */
export function newerProblem(entries: readonly Entry[]): Problem | undefined {
  const newer = writtenByNewer(entries)
  return (
    newer &&
    problem(
      'review-newer',
      'error',
      `A newer Luvren has written in this review since ${dateWords(newer.at)}, and what it did is not known to this one: use the newer one.`,
      `entry ${newer.seq}`,
    )
  )
}
