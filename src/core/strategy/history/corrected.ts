import type { HistoryRow } from './recognise'

/** A row as it was recognised, and as a person has it now; undefined once it was left out. */
export interface CorrectedRow {
  given: HistoryRow
  now: HistoryRow | undefined
}

/** What tells a row from the others of its history, wherever in the paste it stands. */
const mark = ({ number, text, hits, day, limits }: HistoryRow): string =>
  JSON.stringify([number, text, hits, day, limits])

/**
 * The rows of a paste that was recognised anew, with the corrections made to those that are still the same: what was
 * changed by hand stays changed, what was left out stays out. Rows that are twice the same keep theirs in turn.
 */
export function correctedAnew(before: readonly CorrectedRow[], rows: readonly HistoryRow[]): CorrectedRow[] {
  const known = new Map<string, CorrectedRow[]>()
  for (const row of before) known.set(mark(row.given), [...(known.get(mark(row.given)) ?? []), row])
  return rows.map((given): CorrectedRow => {
    const old = known.get(mark(given))?.shift()
    if (!old) return { given, now: given }
    if (!old.now) return { given, now: undefined }
    const { when, lines } = given
    return { given, now: { ...old.now, when, lines } }
  })
}
