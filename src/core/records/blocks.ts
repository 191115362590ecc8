import { canonicalJson } from '../base'
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
