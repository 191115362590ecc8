import { parse } from '../../query'
import type { Line, RunEvidence, Source } from '../../review'
import { appendLines, likelyConcept, noteOf, type PastSearch } from '../../strategy'
import type { DoingAt } from '../doing'
import type { RunMade } from './run'

/** A history of searches that were run elsewhere, as it was recognised and put right. */
export interface Past {
  source: Source
  searches: readonly PastSearch[]
  /** The lines that there are of the source. */
  lines: readonly Line[]
  /** Do the new lines take the place of these? Otherwise they stand behind them. */
  replace: boolean
  /** When a search was made that was read with this day, or with none; ISO 8601 with zone. */
  at: (when: string | undefined) => string
  release: string
  evidence: RunEvidence
}

/**
 * What taking a history over comes to: the strategy as it is then, how many of its lines are new, and a run for each search
 * that has a count. A search without one is a line that was never run.
 */
export function pastTaken(
  { review, newId }: Pick<DoingAt, 'review' | 'newId'>,
  { source, searches, lines, replace, at, release, evidence }: Past,
): { lines: readonly Line[]; added: number; runs: RunMade[] } {
  const made = searches.map((search) => ({ search, line: lineOf(search, review.terms, newId) }))
  const added = made.map((m) => m.line)
  const whole = replace ? added : appendLines(lines, added)
  const runs = made.flatMap(({ search: { row, hits }, line }): RunMade[] =>
    hits === undefined
      ? []
      : [
          {
            source,
            lines: whole,
            // References of a line that stands behind others were counted on.
            line: whole.find((l) => l.id === line.id)!,
            sent: row.text,
            there: row.number,
            hits,
            at: at(row.when),
            release,
            how: 'pasted history',
            evidence,
            platform: source.platform,
          },
        ],
  )
  return { lines: whole, added: added.length, runs }
}

function lineOf(search: PastSearch, terms: Parameters<typeof likelyConcept>[1], newId: () => string): Line {
  const { tree } = parse(search.text)
  const conceptId = tree && likelyConcept(tree, terms)
  return {
    id: newId(),
    text: search.text,
    limits: search.limits,
    note: noteOf(search),
    drafted: false,
    ...(conceptId ? { conceptId } : {}),
    ...(search.described === undefined ? {} : { described: search.described }),
  }
}
