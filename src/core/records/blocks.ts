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

/** Where the blocks of some records lie. */
export interface BlockDigests {
  /** Of the records themselves; of the first form, everything. */
  digest: string
  abstracts?: string | undefined
  unread?: string | undefined
  fullTexts?: string | undefined
}
const KINDS = ['abstracts', 'unread', 'fullTexts'] as const

/** Records as blocks: the bytes of each by its digest, and which is which. */
export function layOut(records: readonly Rec[]): { at: BlockDigests; bytes: Map<string, Uint8Array> } {
  const parts = partRecords(records)
  const bytes = new Map<string, Uint8Array>()
  const lay = (block: unknown): string => {
    const own = blockBytes(block)
    const digest = digestOf(own)
    bytes.set(digest, own)
    return digest
  }
  const at: BlockDigests = { digest: lay(parts.records) }
  for (const kind of KINDS) if (parts[kind]) at[kind] = lay(parts[kind])
  return { at, bytes }
}

/** The digests of all blocks. */
export const digestsOf = (at: BlockDigests): string[] => [
  at.digest,
  ...KINDS.flatMap((kind) => at[kind] ?? []),
]

/** Puts records together from their blocks; undefined where that of the records themselves is missing. */
export function gather(at: BlockDigests, block: (digest: string) => unknown): readonly Rec[] | undefined {
  const records = block(at.digest) as Rec[] | undefined
  const others = KINDS.flatMap((kind) => {
    const found = at[kind] === undefined ? undefined : block(at[kind])
    return found ? [[kind, found] as const] : []
  })
  return records && joinRecords({ records, ...(Object.fromEntries(others) as Omit<Blocks, 'records'>) })
}
