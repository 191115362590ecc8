import { z } from 'zod'
import { canonicalJson, fail, Id, ok, problem, ReviewId, type Result } from '../../base'
import type { Command } from '../commands'
import { kindNamed } from '../kinds'
import type { SideState, SideTaken } from '../side-taken'
import { Digest, emptyReview } from '../values'
import { Deeds } from './deeds'
import { entryDigest, isWithheld, ofFirstForm, payloadDigestOf, readEntryShape, type Entry } from './entry'
import { SCHEMA_VERSION } from './migrations'
import { commandOf, whatItSays } from './read-entry'

/** Where a side journal left the one it belongs to. */
export const Origin = z.object({ review: ReviewId, seq: z.int().min(0), digest: Digest })
export type Origin = z.infer<typeof Origin>

/**
 * What one person did apart from a review, to be taken into it: a reading file, a search review, a copy that parted. Its
 * entries are a chain of their own, numbered from 0, that begins with the digest of its origin; all bear its person.
 */
export interface SideJournal {
  origin: Origin
  /** An id of its own for who made it: two side journals are never one person's. */
  person: string
  entries: readonly Entry[]
}

const Shape = z.strictObject({ origin: Origin, person: Id, entries: z.array(z.unknown()) })

/** The next entry of a side journal. */
export function sideEntry(
  { origin, person, entries }: SideJournal,
  command: Command,
  { at, salt }: { at: string; salt: string },
): Entry {
  const last = entries.at(-1)
  const entry = {
    seq: entries.length,
    at,
    by: person,
    v: SCHEMA_VERSION,
    kind: command.kind,
    salt,
    payload: command.payload,
    payloadDigest: payloadDigestOf(salt, command.payload),
  }
  return { ...entry, digest: entryDigest(last?.digest ?? origin.digest, entry) }
}

/** The bytes under whose digest a side journal lies beside the one that took it in. */
export const sideBytes = (side: SideJournal): Uint8Array => new TextEncoder().encode(canonicalJson(side))

/** Reads a side journal and checks it whole: shape, chain, and that every entry says what its person thinks, only. */
export function readSide(bytes: Uint8Array): Result<SideJournal> {
  const no = (words: string, at?: string): Result<never> => fail(problem('side-refused', 'error', words, at))
  let value: unknown
  try {
    value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    return no('This side journal is no JSON.')
  }
  const shape = Shape.safeParse(value)
  if (!shape.success) return no('This is no side journal: its parts are not those that one has.')
  const { origin, person } = shape.data
  const entries: Entry[] = []
  let previous = origin.digest
  for (const [i, raw] of shape.data.entries.entries()) {
    const at = `entry ${i}`
    const read = readEntryShape(raw)
    if (!read.success) return no(`Entry ${i} of the side journal is damaged.`, at)
    const entry = read.data
    if (ofFirstForm(entry) || entry.seq !== i || entryDigest(previous, entry) !== entry.digest)
      return no(`Entry ${i} of the side journal does not follow from the one before.`, at)
    // What its person is called may be withheld; nothing else may.
    const nameless = isWithheld(entry) && entry.kind === 'person.named' && entry.by === person
    if (
      !nameless &&
      (entry.salt === undefined || payloadDigestOf(entry.salt, entry.payload) !== entry.payloadDigest)
    )
      return no(`Entry ${i} of the side journal was changed after it was written.`, at)
    if (!nameless && !bearsPerson(entry, person))
      return no(
        `Entry ${i} of the side journal (${entry.kind}) does not bear its person, and is not taken in.`,
        at,
      )
    entries.push(entry)
    previous = entry.digest
  }
  return ok({ origin, person, entries })
}

function bearsPerson(entry: Entry, person: string): boolean {
  const read = commandOf(entry)
  if (entry.by !== person || !read.ok || !kindNamed(read.value.kind)!.bearsPerson) return false
  const { kind, payload } = read.value
  if ('reader' in payload) return payload.reader === person
  if (kind === 'ruling.settle') return payload.by === person
  return kind !== 'person.named' || payload.id === person
}

/** What a side journal comes to, by itself. */
export function foldSide({ entries, person }: SideJournal): SideState {
  const deeds = new Deeds()
  const commands = new Map<number, { command: Command; entry: Entry }>()
  const out = new Set<number>()
  for (const entry of entries) {
    const command = whatItSays(entry)
    const effect = command && deeds.take(entry.seq, command)
    if (!command || !effect) continue
    if ('undid' in effect) out.add(effect.undid)
    else if ('redid' in effect) out.delete(effect.redid)
    else commands.set(entry.seq, { command, entry })
  }
  const review = emptyReview('')
  for (const [seq, { command, entry }] of commands)
    if (!out.has(seq)) kindNamed(command.kind)!.apply(review, structuredClone(command.payload), entry)
  return {
    rulings: review.rulings,
    searches: review.searchReviews?.[person],
    person: review.people.find((p) => p.id === person),
    ...(review.retrievals ? { retrievals: review.retrievals } : {}),
    ...(review.settlements ? { settlements: review.settlements } : {}),
  }
}

/**
 * The side journals that entries took in, read from what lies beside them; one that is not here or damaged is left out, and
 * its entry is named when the journal is folded.
 */
export async function sidesIn(
  entries: readonly Pick<Entry, 'kind' | 'payload'>[],
  bytesAt: (digest: string) => Promise<Uint8Array | undefined>,
): Promise<Map<string, SideTaken>> {
  const found = new Map<string, SideTaken>()
  for (const { kind, payload } of entries) {
    const { digest } = (payload ?? {}) as { digest?: unknown }
    if (kind !== 'side.take' || typeof digest !== 'string' || found.has(digest)) continue
    const bytes = await bytesAt(digest)
    const read = bytes && readSide(bytes)
    if (read?.ok) found.set(digest, takenFrom(read.value))
  }
  return found
}

/** A side journal as a journal takes it in. */
export const takenFrom = (side: SideJournal): SideTaken => ({
  person: side.person,
  digests: side.entries.map((e) => e.digest),
  state: foldSide(side),
})
