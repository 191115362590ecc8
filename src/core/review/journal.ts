import { produce } from 'immer'
import { z } from 'zod'
import { canonicalJson, digestOf, fail, issuesInWords, ok, problem, type Problem, type Result } from '../base'
import { apply } from './apply'
import { Command } from './commands'
import { Deeds } from './deeds'
import { migrate, SCHEMA_VERSION } from './migrations'
import { emptyReview, type Review } from './values'

/** One thing done. `digest` binds it to everything before it. */
export const EntryShape = z.object({
  /** From 0, without gaps. */
  seq: z.int().min(0),
  /** ISO 8601 with zone. */
  at: z.iso.datetime({ offset: true }),
  by: z.string(),
  /** Schema version of the payload. */
  v: z.int().min(1),
  kind: z.string(),
  payload: z.unknown(),
  digest: z.string().regex(/^[0-9a-f]{64}$/),
})
export type Entry = z.infer<typeof EntryShape>

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
  const unread = (code: string, why: string): Result<Command> =>
    fail(
      problem(
        code,
        'error',
        `Entry ${entry.seq} (${entry.kind}) is not understood: ${why}`,
        `entry ${entry.seq}`,
      ),
    )
  if (!(entry.v >= 1)) return unread('entry-unreadable', `there is no version ${entry.v}.`)
  const lifted = migrate(entry)
  const read = Command.safeParse({ kind: lifted.kind, payload: lifted.payload })
  if (read.success) return ok(read.data)
  return entry.v > SCHEMA_VERSION
    ? unread('entry-newer', 'a newer Luvren has written it. What it did is not shown here.')
    : unread('entry-unreadable', `${wrong(read.error)}.`)
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
  if (!isFolded(snapshot.folded)) return undefined
  return foldOnto(snapshot.folded, entries.slice(snapshot.seq + 1))
}

/** Has a fold from disk all its parts? A part that is missing would only be missed much later, somewhere else. */
function isFolded(folded: unknown): folded is Folded {
  const alike = (a: unknown, like: unknown): boolean =>
    typeof a === typeof like && Array.isArray(a) === Array.isArray(like) && a !== null
  const whole = (a: unknown, like: object): boolean =>
    typeof a === 'object' &&
    a !== null &&
    Object.entries(like).every(([key, part]) => alike((a as Record<string, unknown>)[key], part))
  const empty = emptyReview('')
  return (
    whole(folded, { review: empty, done: [], undone: [], problems: [] }) &&
    whole((folded as Folded).review, empty)
  )
}

function foldOnto(start: Folded, entries: readonly Entry[]): Folded | undefined {
  const problems = [...start.problems]
  const deeds = new Deeds(start)
  const oldest = entries[0]?.seq ?? 0
  const commands = new Map<number, Command>()
  const out = new Set<number>()
  for (const entry of entries) {
    const read = commandOf(entry)
    if (!read.ok) {
      problems.push(...read.problems)
      continue
    }
    const effect = deeds.take(entry.seq, read.value)
    if (!effect) continue
    if ('did' in effect) commands.set(entry.seq, read.value)
    else if ('undid' in effect) {
      if (effect.undid < oldest) return undefined
      out.add(effect.undid)
    } else {
      if (effect.redid < oldest) return undefined
      out.delete(effect.redid)
    }
  }
  for (const seq of out) commands.delete(seq)
  const applied = applyAll(start.review, commands)
  return {
    review: applied.review,
    done: deeds.done,
    undone: deeds.undone,
    problems: [...problems, ...applied.problems],
  }
}

/** Applies commands by the number of their entry. One that cannot be applied is passed over whole, and named. */
function applyAll(
  before: Review,
  commands: ReadonlyMap<number, Command>,
): { review: Review; problems: Problem[] } {
  try {
    const review = produce(before, (draft: Review) => {
      for (const command of commands.values()) apply(draft, structuredClone(command))
    })
    return { review, problems: [] }
  } catch {
    // Rare and slow: one by one, so that what fails leaves nothing behind.
    let review = before
    const problems: Problem[] = []
    for (const [seq, command] of commands)
      try {
        review = produce(review, (draft: Review) => apply(draft, structuredClone(command)))
      } catch {
        problems.push(
          problem(
            'entry-unfit',
            'error',
            `Entry ${seq} (${command.kind}) does not fit what was there before it, and was passed over.`,
            `entry ${seq}`,
          ),
        )
      }
    return { review, problems }
  }
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
      return [problem('entry-shape', 'error', `Entry ${i} is damaged: ${wrong(read.error)}.`, where)]
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
