import type { z } from 'zod'
import { fail, issuesInWords, ok, problem, type Result } from '../../base'
import type { Command } from '../commands'
import { kindNamed, reachesBytes } from '../kinds'
import { isWithheld, ofFirstForm, type Entry } from './entry'
import { migrate, SCHEMA_VERSION } from './migrations'

/** What is wrong with an entry, on one line. */
export const wrong = (error: z.ZodError): string =>
  issuesInWords(error)
    .map(({ at, words }) => `${at || 'it'} ${words}`)
    .join('; ')

/** Kinds that only the second form has: one of the first form of such a name is not understood. */
const ONLY_SECOND = new Set([
  'person.named',
  'journal.goOver',
  'round.begin',
  'partition.set',
  'pair.join',
  'pair.part',
  'side.take',
])

/** The command of an entry, lifted to this version and checked. */
export function commandOf(entry: Entry): Result<Command> {
  const unread = (code: string, why: string, severity: 'error' | 'note' = 'error'): Result<Command> =>
    fail(
      problem(
        code,
        severity,
        `Entry ${entry.seq} (${entry.kind}) is not understood: ${why}`,
        `entry ${entry.seq}`,
      ),
    )
  if (!(entry.v >= 1)) return unread('entry-unreadable', `there is no version ${entry.v}.`)
  if (isWithheld(entry)) return unread('entry-withheld', 'what it says was left out here.', 'note')
  if (ofFirstForm(entry) && ONLY_SECOND.has(entry.kind))
    return unread('entry-unreadable', 'its version has no such kind.')
  const lifted = migrate({ v: entry.v, seq: entry.seq, kind: entry.kind, payload: entry.payload })
  // By its own schema, not by the union of all: a long journal is read at every opening.
  const read = kindNamed(lifted.kind)?.schema.safeParse(lifted.payload)
  if (read?.success) return ok({ kind: lifted.kind, payload: read.data } as Command)
  if (entry.v > SCHEMA_VERSION)
    return unread('entry-newer', 'a newer Luvren has written it. What it did is not shown here.')
  return unread('entry-unreadable', read ? `${wrong(read.error)}.` : 'there is no such kind.')
}

/**
 * What an entry says as far as it can be told here. Of a name that is withheld it is known whose it is: people are told
 * apart by it, and called by no name.
 */
export function whatItSays(entry: Entry): Command | undefined {
  const read = commandOf(entry)
  if (read.ok) return read.value
  return isWithheld(entry) && entry.kind === 'person.named'
    ? ({ kind: entry.kind, payload: { id: entry.by } } as Command)
    : undefined
}

/** The digests of all that an entry reaches beside the journal, at any depth; none where it is not understood. */
export function blobsOf(entry: Entry): readonly string[] {
  if (!kindNamed(entry.kind) || !reachesBytes(entry.kind)) return []
  const read = commandOf(entry)
  return read.ok ? kindNamed(read.value.kind)!.blobs(read.value.payload) : []
}
