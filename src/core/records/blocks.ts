import { canonicalJson, digestOf } from '../base'
import type { Rec } from './record'

/**
 * Records parted by kind, each kind a list as long as the records, so that one kind can be left out of what is handed on.
 * A kind of which no record has anything is absent.
 */
export interface Blocks {
  /** What a reference needs, and subjects. */
  records: Rec[]
  abstracts?: (string | null)[]
  fullTexts?: (string | null)[]
  /** What was read from a file and not understood, by tag. */
  unread?: (Rec['extra'] | null)[]
}

/** Parts records by kind. */
export function partRecords(records: readonly Rec[]): Blocks {
  const some = <T>(of: (r: Rec) => T | undefined): (T | null)[] | undefined => {
    const list = records.map((r) => of(r) ?? null)
    return list.some((v) => v !== null) ? list : undefined
  }
  const abstracts = some((r) => r.abstract)
  const fullTexts = some((r) => r.fulltext)
  const unread = some((r) => (Object.keys(r.extra).length ? r.extra : undefined))
  return {
    records: records.map(({ abstract: _abstract, fulltext: _fulltext, extra: _extra, ...rest }) => ({
      ...rest,
      extra: {},
    })),
    ...(abstracts ? { abstracts } : {}),
    ...(fullTexts ? { fullTexts } : {}),
    ...(unread ? { unread } : {}),
  }
}

/** Puts records together again. What was left out is missing from them; a block of the first form holds everything. */
export function joinRecords({ records, abstracts, fullTexts, unread }: Blocks): Rec[] {
  if (!abstracts && !fullTexts && !unread) return records
  return records.map((r, i) => {
    const [abstract, fulltext, extra] = [abstracts?.[i], fullTexts?.[i], unread?.[i]]
    return {
      ...r,
      ...(abstract === undefined || abstract === null ? {} : { abstract }),
      ...(fulltext === undefined || fulltext === null ? {} : { fulltext }),
      ...(extra === undefined || extra === null ? {} : { extra }),
    }
  })
}

/** A block as the bytes by whose digest it is named: canonical JSON, so that no writer of JSON changes the name. */
export const blockBytes = (block: unknown): Uint8Array => new TextEncoder().encode(canonicalJson(block))

/** So many records lie in one block. */
export const IN_A_BLOCK = 2000

/** Where the blocks of some records lie, as many as are in one block. */
export interface BlockPart {
  /** Of the records themselves; of the first form, everything. */
  digest: string
  abstracts?: string | undefined
  unread?: string | undefined
  fullTexts?: string | undefined
}
/** Records as they were laid down: the first part, and the others, each with how many records are in it. */
export interface LaidOut extends BlockPart {
  rest?: (BlockPart & { count: number })[] | undefined
}
/** Where the blocks of all records lie. */
export interface BlockDigests extends LaidOut {
  /** Records that could not be read and were mended since, each in a block of its own, by their position in the file. */
  mended?: (BlockPart & { position: number })[] | undefined
  /** Positions in the file of which nothing could be read. */
  broken?: readonly { position: number }[] | undefined
}
const KINDS = ['abstracts', 'unread', 'fullTexts'] as const

/** Some records as blocks of one part: what lies where, each block told as it is made. */
function layPart(records: readonly Rec[], keep: (digest: string, bytes: Uint8Array) => void): BlockPart {
  const parts = partRecords(records)
  const lay = (block: unknown): string => {
    const own = blockBytes(block)
    const digest = digestOf(own)
    keep(digest, own)
    return digest
  }
  const at: BlockPart = { digest: lay(parts.records) }
  for (const kind of KINDS) if (parts[kind]) at[kind] = lay(parts[kind])
  return at
}

/** Lays records out part by part, as they come: what lies where is known at the end. */
export class LayingOut {
  private readonly parts: (BlockPart & { count: number })[] = []
  private waiting: Rec[] = []

  constructor(private readonly keep: (digest: string, bytes: Uint8Array) => void) {}

  push(record: Rec): void {
    this.waiting.push(record)
    if (this.waiting.length === IN_A_BLOCK) this.lay()
  }

  private lay(): void {
    this.parts.push({ ...layPart(this.waiting, this.keep), count: this.waiting.length })
    this.waiting = []
  }

  end(): LaidOut {
    if (this.waiting.length || !this.parts.length) this.lay()
    const [{ count: _count, ...first }, ...rest] = this.parts as [BlockPart & { count: number }]
    return { ...first, ...(rest.length ? { rest } : {}) }
  }
}

/** Records as blocks: the bytes of each by its digest, and which is which. */
export function layOut(records: readonly Rec[]): { at: LaidOut; bytes: Map<string, Uint8Array> } {
  const bytes = new Map<string, Uint8Array>()
  const laying = new LayingOut((digest, own) => bytes.set(digest, own))
  for (const record of records) laying.push(record)
  return { at: laying.end(), bytes }
}

const partsOf = (at: BlockDigests): readonly BlockPart[] => [at, ...(at.rest ?? [])]
const allParts = (at: BlockDigests): readonly BlockPart[] => [...partsOf(at), ...(at.mended ?? [])]

/** The digests of all blocks. */
export const digestsOf = (at: BlockDigests): string[] =>
  allParts(at).flatMap((part) => [part.digest, ...KINDS.flatMap((kind) => part[kind] ?? [])])

/**
 * Puts records together from their blocks, mended ones in their places; undefined where a block of the records themselves
 * is missing.
 */
export function gather(at: BlockDigests, block: (digest: string) => unknown): readonly Rec[] | undefined {
  const read = partsOf(at).map((part) => gatherPart(part, block))
  if (!read.every((p) => p !== undefined)) return undefined
  if (!at.mended?.length) return read.length === 1 ? read[0]! : read.flat()
  const records = read.flat()
  for (const part of [...at.mended].sort((a, b) => a.position - b.position)) {
    const [own] = gatherPart(part, block) ?? []
    if (!own) return undefined
    const gaps = (at.broken ?? []).filter((b) => b.position < part.position).length
    records.splice(part.position - 1 - gaps, 0, own)
  }
  return records
}

/**
 * The part in which a record lies, by its place among those of the import, and its place in it; undefined where mended
 * records stand between the others: then no part can be had alone.
 */
export function partAt(
  at: BlockDigests & { count: number },
  place: number,
): { part: BlockPart; place: number } | undefined {
  if (at.mended?.length) return undefined
  const rest = at.rest ?? []
  const first = at.count - rest.reduce((n, p) => n + p.count, 0)
  if (place < first) return { part: at, place }
  let from = first
  for (const part of rest) {
    if (place < from + part.count) return { part, place: place - from }
    from += part.count
  }
  return undefined
}

/** The records of one part; undefined where the block of the records themselves is missing. */
export function gatherPart(part: BlockPart, block: (digest: string) => unknown): readonly Rec[] | undefined {
  const records = block(part.digest) as Rec[] | undefined
  const others = KINDS.flatMap((kind) => {
    const found = part[kind] === undefined ? undefined : block(part[kind])
    return found ? [[kind, found] as const] : []
  })
  return records && joinRecords({ records, ...(Object.fromEntries(others) as Omit<Blocks, 'records'>) })
}
