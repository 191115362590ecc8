import { dateWords } from '../../base'
import type { Entry } from './entry'

const DAY = 24 * 60 * 60 * 1000
/** How far clocks of two computers may be apart: a day, for one may be told in another place's time. */
const APART = DAY
/** How far ahead of today a day may lie before it is told: less than a week is a clock that somebody forgot to set. */
const AHEAD = 7 * DAY

/**
 * What the days of entries say that cannot have been: days after today (`now`, where it is known), and days before the one of
 * the entry that was written before. A clock that is wrong falsifies what is told of days, and nothing else; it is no fault
 * of the journal.
 */
export function oddClocks(entries: readonly Pick<Entry, 'seq' | 'at'>[], now?: string): string[] {
  const said: string[] = []
  const last = now === undefined ? Infinity : Date.parse(now) + AHEAD
  const ahead: Pick<Entry, 'seq' | 'at'>[] = []
  let before: Pick<Entry, 'seq' | 'at'> | undefined
  for (const entry of entries) {
    const at = Date.parse(entry.at)
    if (at > last) {
      ahead.push(entry)
      continue
    }
    if (before && at < Date.parse(before.at) - APART)
      said.push(
        `Entry ${entry.seq + 1} is dated ${dateWords(entry.at)} and was written behind one of ${dateWords(before.at)}: a clock was set back, or was wrong before.`,
      )
    before = entry
  }
  const [first, ...more] = ahead
  if (first)
    said.unshift(
      `Entry ${first.seq + 1} is dated ${dateWords(first.at)}, after today${more.length ? `, and so ${more.length === 1 ? 'is another' : `are ${more.length} others`}` : ''}: the clock of that computer was wrong.`,
    )
  return said
}
