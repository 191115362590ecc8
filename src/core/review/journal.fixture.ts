import type { Command } from './commands'
import {
  entryDigest,
  FIRST_DIGEST,
  fold,
  goingOver,
  nextEntry,
  SCHEMA_VERSION,
  type Entry,
  type GoingOver,
} from './journal'

const MINUTE = (n: number): string => new Date(Date.UTC(2026, 10, 16, 9, n)).toISOString()

/** The entry behind another, by one person, with a salt that tests may guess. */
export const entryAfter = (last: Entry | undefined, command: Command, at?: string): Entry => {
  const n = last ? last.seq + 1 : 0
  return nextEntry(last, command, {
    at: at ?? MINUTE(n),
    by: 'p-1',
    name: 'M. Osei',
    salt: n.toString(16).padStart(32, '0'),
  })
}

/** The same as a newer version would write it: of a kind that is not known here, or of one that may mean more there. */
export function newerEntryAfter(last: Entry, command: { kind: string; payload: unknown }): Entry {
  const { digest: _digest, ...own } = entryAfter(last, command as Command)
  const entry = { ...own, v: SCHEMA_VERSION + 1 }
  return { ...entry, digest: entryDigest(last.digest, entry) }
}

/** A journal of these commands, one a minute. */
export function journalOf(commands: readonly Command[], before: readonly Entry[] = []): Entry[] {
  const entries = [...before]
  for (const command of commands) entries.push(entryAfter(entries.at(-1), command))
  return entries
}

/** Something that could be done in the first form; a work was named then, and no record. */
export interface OldCommand {
  kind: string
  payload: unknown
}

/** A journal of the first form, as version 5 wrote it. */
export function firstFormJournal(commands: readonly OldCommand[], by = 'M. Osei'): Entry[] {
  const entries: Entry[] = []
  for (const { kind, payload } of commands) {
    const seq = entries.length
    const entry = { seq, at: MINUTE(seq), by, v: 5, kind, payload }
    entries.push({ ...entry, digest: entryDigest(entries.at(-1)?.digest ?? FIRST_DIGEST, entry) })
  }
  return entries
}

/** The same journal gone over to the second form, and the state that its entry of going over names. */
export function goneOverFrom(
  entries: readonly Entry[],
  evidenceOf: GoingOver['evidenceOf'] = () => ({}),
): { entries: Entry[]; state: Uint8Array } {
  const ids = new Map<string, string>()
  const personOf = (name: string): string => {
    if (!ids.has(name)) ids.set(name, `p-${ids.size + 1}`)
    return ids.get(name)!
  }
  const { people, goOver, state } = goingOver(entries, fold(entries).review, { personOf, evidenceOf })
  const named = journalOf(people, entries)
  return { entries: journalOf([goOver(named.at(-1)!)], named), state }
}
