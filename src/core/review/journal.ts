import { produce } from 'immer'
import { z } from 'zod'
import { canonicalJson, digestOf, fail, issuesInWords, ok, problem, type Problem, type Result } from '../base'
import { apply } from './apply'
import { Command, NOT_UNDOABLE } from './commands'
import { migrate, SCHEMA_VERSION } from './migrations'
import { emptyReview, type Review } from './values'

/** One thing done. `digest` binds it to everything before it. */
export interface Entry {
  /** From 0, without gaps. */
  seq: number
  /** ISO 8601 with zone. */
  at: string
  by: string
  /** Schema version of the payload. */
  v: number
  kind: string
  payload: unknown
  digest: string
}

export const EntryShape = z.object({
  seq: z.int().min(0),
  at: z.iso.datetime({ offset: true }),
  by: z.string(),
  v: z.int().min(1),
  kind: z.string(),
  payload: z.unknown(),
  digest: z.string().regex(/^[0-9a-f]{64}$/),
})

/** What stands before the first entry. */
export const FIRST_DIGEST = '0'.repeat(64)

/** SHA-256 of the previous digest and the canonical JSON of the entry without its digest. */
export function entryDigest(previous: string, entry: Omit<Entry, 'digest'>): string {
  const { seq, at, by, v, kind, payload } = entry
  return digestOf(previous + canonicalJson({ seq, at, by, v, kind, payload }))
}

/** The next entry of a journal that ends with `last` (undefined: of an empty one). */
export function nextEntry(last: Entry | undefined, command: Command, at: string, by: string): Entry {
  const entry = {
    seq: last ? last.seq + 1 : 0,
    at,
    by,
    v: SCHEMA_VERSION,
    kind: command.kind,
    payload: command.payload,
  }
  return { ...entry, digest: entryDigest(last?.digest ?? FIRST_DIGEST, entry) }
}

/** What is wrong with an entry, on one line. */
const wrong = (error: z.ZodError): string =>
  issuesInWords(error)
    .map(({ at, words }) => `${at || 'it'} ${words}`)
    .join('; ')

/** The command of an entry, lifted to this version and checked. */
export function commandOf(entry: Entry): Result<Command> {
  const lifted = migrate(entry)
  const read = Command.safeParse({ kind: lifted.kind, payload: lifted.payload })
  if (read.success) return ok(read.data)
  const where = `entry ${entry.seq}`
  return fail(
    problem(
      'entry-unreadable',
      'error',
      `Entry ${entry.seq} (${entry.kind}) is not understood: ${wrong(read.error)}`,
      where,
    ),
  )
}

export interface Folded {
  review: Review
  /** Entries that could be undone now, the latest last. */
  done: number[]
  /** Entries that could be done again, the next last. */
  undone: number[]
  problems: Problem[]
}

/** A fold kept to open faster. Only a cache: dropping it loses nothing. */
export interface Snapshot {
  /** The last entry that is folded in, and its digest. */
  seq: number
  digest: string
  schema: number
  folded: Folded
}

/**
 * Reads the journal into the review it describes. An entry that was undone counts as if it were not there; an entry
 * that is not understood is passed over and named, never lost from the journal.
 */
export function fold(entries: readonly Entry[]): Folded {
  return foldOnto({ review: emptyReview(''), done: [], undone: [], problems: [] }, entries) ?? never0()
}

/**
 * The same fold, begun from a snapshot. Gives undefined where the snapshot does not serve: it belongs to another
 * journal or schema, or an entry behind it undoes one before it. Then fold from the beginning.
 */
export function foldFrom(snapshot: Snapshot, entries: readonly Entry[]): Folded | undefined {
  if (snapshot.schema !== SCHEMA_VERSION || entries[snapshot.seq]?.digest !== snapshot.digest)
    return undefined
  return foldOnto(snapshot.folded, entries.slice(snapshot.seq + 1))
}

function foldOnto(start: Folded, entries: readonly Entry[]): Folded | undefined {
  const problems = [...start.problems]
  const done = [...start.done]
  const undone = [...start.undone]
  const oldest = entries[0]?.seq ?? 0
  const commands = new Map<number, Command>()
  const out = new Set<number>()
  for (const entry of entries) {
    const read = commandOf(entry)
    if (!read.ok) {
      problems.push(...read.problems)
      continue
    }
    const command = read.value
    if (command.kind === 'undo') {
      if (done[done.length - 1] !== command.payload.seq) continue
      if (command.payload.seq < oldest) return undefined
      undone.push(done.pop()!)
      out.add(command.payload.seq)
    } else if (command.kind === 'redo') {
      if (undone[undone.length - 1] !== command.payload.seq) continue
      if (command.payload.seq < oldest) return undefined
      done.push(undone.pop()!)
      out.delete(command.payload.seq)
    } else {
      commands.set(entry.seq, command)
      if (!NOT_UNDOABLE.has(command.kind)) {
        done.push(entry.seq)
        undone.length = 0
      }
    }
  }
  const review = produce(start.review, (draft: Review) => {
    for (const [seq, command] of commands) if (!out.has(seq)) apply(draft, structuredClone(command))
  })
  return { review, done, undone, problems }
}

/** Folding from nothing always serves; this is never reached. */
function never0(): never {
  throw new Error('A fold from the beginning has no snapshot to fail')
}

/** A snapshot of a fold over all of these entries; undefined for an empty journal. */
export function snapshotOf(entries: readonly Entry[], folded: Folded): Snapshot | undefined {
  const last = entries[entries.length - 1]
  return last && { seq: last.seq, digest: last.digest, schema: SCHEMA_VERSION, folded }
}

/**
 * Checks the chain of digests and the numbering. The first entry that does not follow from the one before is named;
 * an empty list means that the journal is whole.
 */
export function verifyJournal(entries: readonly unknown[]): Problem[] {
  let previous = FIRST_DIGEST
  for (const [i, raw] of entries.entries()) {
    const read = EntryShape.safeParse(raw)
    const where = `entry ${i}`
    if (!read.success)
      return [problem('entry-shape', 'error', `Entry ${i} is damaged: ${wrong(read.error)}`, where)]
    const entry = read.data as Entry
    if (entry.seq !== i)
      return [
        problem(
          'entry-order',
          'error',
          `Entry ${i} is numbered ${entry.seq}: one is missing or out of place.`,
          where,
        ),
      ]
    if (entryDigest(previous, entry) !== entry.digest)
      return [
        problem(
          'entry-changed',
          'error',
          `Entry ${i} (${entry.kind}, ${entry.at}) was changed after it was written, or the one before it was.`,
          where,
        ),
      ]
    previous = entry.digest
  }
  return []
}
