import { dateWords } from '../../base'
import type { Entry } from './entry'

/** How far clocks of two computers may be apart, in milliseconds: a day, for one may be told in another place's time. */
const APART = 24 * 60 * 60 * 1000

/**
 * What the days of entries say that cannot have been: days after today (`now`, where it is known), and days before the one of
 * the entry that was written before. A clock that is wrong falsifies what is told of days, and nothing else; it is no fault
 * of the journal.
 */
export function oddClocks(entries: readonly Pick<Entry, 'seq' | 'at'>[], now?: string): string[] {
  const said: string[] = []
  const last = now === undefined ? Infinity : Date.parse(now) + APART
  let before: Pick<Entry, 'seq' | 'at'> | undefined
  for (const entry of entries) {
    const at = Date.parse(entry.at)
    if (at > last) {
      said.push(
        `Entry ${entry.seq + 1} is dated ${dateWords(entry.at)}, after today: the clock of that computer was wrong.`,
      )
      continue
    }
    if (before && at < Date.parse(before.at) - APART)
      said.push(
        `Entry ${entry.seq + 1} is dated ${dateWords(entry.at)} and was written behind one of ${dateWords(before.at)}: a clock was set back, or was wrong before.`,
      )
    before = entry
  }
  return said
}
