import { z } from 'zod'
import { canonicalJson, fail, Id, ok, problem, ReviewId, type Result } from '../../base'
import type { Command } from '../commands'
import { kindNamed } from '../kinds'
import { Digest, emptyReview, type Person, type Review, type Ruling } from '../values'
import { Deeds } from './deeds'
import { entryDigest, ofFirstForm, payloadDigestOf, readEntryShape, type Entry } from './entry'
import { SCHEMA_VERSION } from './migrations'
import { commandOf } from './read-entry'

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
    if (entry.salt === undefined || payloadDigestOf(entry.salt, entry.payload) !== entry.payloadDigest)
      return no(`Entry ${i} of the side journal was changed after it was written.`, at)
    if (!bearsPerson(entry, person))
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
  if (kind === 'ruling.set' || kind === 'ruling.remove') return payload.reader === person
  return kind !== 'person.named' || payload.id === person
}

/** What a side journal comes to, by itself: its person's rulings and name. */
export interface SideState {
  rulings: Review['rulings']
  person: Person | undefined
}

export function foldSide({ entries, person }: SideJournal): SideState {
  const deeds = new Deeds()
  const commands = new Map<number, { command: Command; entry: Entry }>()
  const out = new Set<number>()
  for (const entry of entries) {
    const read = commandOf(entry)
    const effect = read.ok ? deeds.take(entry.seq, read.value) : undefined
    if (!read.ok || !effect) continue
    if ('undid' in effect) out.add(effect.undid)
    else if ('redid' in effect) out.delete(effect.redid)
    else commands.set(entry.seq, { command: read.value, entry })
  }
  const review = emptyReview('')
  for (const [seq, { command, entry }] of commands)
    if (!out.has(seq)) kindNamed(command.kind)!.apply(review, structuredClone(command.payload), entry)
  return { rulings: review.rulings, person: review.people.find((p) => p.id === person) }
}

/** One chain of a person's side journal that was taken in, the longest of its kind. */
export interface SideTaken {
  person: string
  /** The digests of its entries, by which they are known again. */
  digests: string[]
  state: SideState
}

/**
 * Takes a side journal in. What is known already adds nothing; one that goes on from what is known takes its place; two
 * that parted are both kept, and where they differ it is said so. The outcome is the same in any order, any number of
 * times.
 */
export function takeSide(review: Review, side: SideJournal): void {
  const digests = side.entries.map((e) => e.digest)
  const head = digests.at(-1)
  if (head === undefined) return
  const own = review.sides.filter((s) => s.person === side.person)
  if (own.some((s) => s.digests.includes(head))) return
  const kept = own.filter((s) => !digests.includes(s.digests.at(-1)!))
  kept.push({ person: side.person, digests, state: foldSide(side) })
  review.sides = [...review.sides.filter((s) => s.person !== side.person), ...kept].sort((a, b) =>
    keyOf(a) < keyOf(b) ? -1 : 1,
  )
  putRulings(review, side.person, kept)
  putName(review, side.person, kept)
}

const keyOf = (s: SideTaken): string => `${s.person} ${s.digests.at(-1)!}`

function putRulings(review: Review, person: string, chains: readonly SideTaken[]): void {
  for (const own of Object.values(review.rulings))
    for (const pass of ['broad', 'close']) delete own[`${pass}/${person}`]
  const sorted = [...chains].sort((a, b) => (keyOf(a) < keyOf(b) ? -1 : 1))
  const said = new Map<string, Ruling[]>()
  for (const { state } of sorted)
    for (const [recordId, own] of Object.entries(state.rulings))
      for (const [key, ruling] of Object.entries(own)) {
        const name = `${recordId}\n${key}`
        said.set(name, [...(said.get(name) ?? []), ruling])
      }
  for (const [name, all] of said) {
    const [recordId = '', key = ''] = name.split('\n')
    const first = all[0]!
    const alike = all.every((r) => r.verdict === first.verdict)
    ;(review.rulings[recordId] ??= {})[key] = alike
      ? first
      : { recordId, pass: first.pass, reader: person, verdict: 'unsure' }
  }
  // A record of which nothing is said any more, by anybody, is as if it had never been spoken of.
  for (const [recordId, own] of Object.entries(review.rulings))
    if (!Object.keys(own).length) delete review.rulings[recordId]
}

function putName(review: Review, person: string, chains: readonly SideTaken[]): void {
  const named = chains
    .flatMap(({ state }) => state.person ?? [])
    .sort((a, b) => ((a.name ?? '') < (b.name ?? '') ? -1 : 1))
  const others = review.people.filter((p) => p.id !== person)
  if (!named[0]) return
  const sides = new Set(review.sides.map((s) => s.person))
  const apart = [...others.filter((p) => sides.has(p.id)), { ...named[0], id: person }]
  review.people = [...others.filter((p) => !sides.has(p.id)), ...apart.sort((a, b) => (a.id < b.id ? -1 : 1))]
}
