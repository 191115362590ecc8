import { foldLabel } from '../base'
import { doiIn } from './identifiers'
import type { Rec } from './record'

export interface Compared {
  /** In the later list only, in its order. */
  fresh: Rec[]
  /** In the earlier list only, in its order. */
  gone: Rec[]
  both: number
}

/** What identifies a record in a source: its number there, its DOI, its title with the year. A change of one is no other record. */
const keysOf = (r: Rec): string[] => {
  const doi = r.doi && doiIn(r.doi)
  const title = foldLabel(r.title)
  return [`id ${r.id}`, ...(doi ? [`doi ${doi}`] : []), ...(title ? [`title ${title} ${r.year ?? ''}`] : [])]
}

/**
 * What came and what went between two times the same source was searched. Records are the same where they share their
 * number, DOI, or title with year. `byNumber: false` where numbers were given by the reader of a file and mean nothing.
 */
export function compareRecords(
  earlier: readonly Rec[],
  later: readonly Rec[],
  { byNumber = true }: { byNumber?: boolean } = {},
): Compared {
  const keys = (r: Rec): string[] => (byNumber ? keysOf(r) : keysOf(r).slice(1))
  const before = new Set(earlier.flatMap(keys))
  const after = new Set(later.flatMap(keys))
  const fresh = later.filter((r) => !keys(r).some((k) => before.has(k)))
  return {
    fresh,
    gone: earlier.filter((r) => !keys(r).some((k) => after.has(k))),
    both: later.length - fresh.length,
  }
}

/** One search on one occasion: what the database held then, and what was found of it. */
export interface Occasion {
  held: readonly Rec[]
  found: readonly Rec[]
}

/** What came and what went between two occasions, the newest first. */
export interface ComeAndGone {
  before: number
  after: number
  both: number
  /** Added to the database since; and there before, but found only now. */
  added: Rec[]
  foundNow: Rec[]
  /** Withdrawn from the database; and still there, but found no more. */
  withdrawn: Rec[]
  lostNow: Rec[]
}

/** The same search on two occasions: what came and what went, and whether database or search is the reason. */
export function comeAndGone(before: Occasion, after: Occasion): ComeAndGone {
  const ids = (records: readonly Rec[]): Set<string> => new Set(records.map((r) => r.id))
  const [old, now] = [ids(before.held), ids(after.held)]
  const { fresh, gone, both } = compareRecords(before.found, after.found)
  const newest = (list: readonly Rec[]): Rec[] => [...list].sort((a, b) => (b.year ?? 0) - (a.year ?? 0))
  return {
    before: before.found.length,
    after: after.found.length,
    both,
    added: newest(fresh.filter((r) => !old.has(r.id))),
    foundNow: newest(fresh.filter((r) => old.has(r.id))),
    withdrawn: newest(gone.filter((r) => !now.has(r.id))),
    lostNow: newest(gone.filter((r) => now.has(r.id))),
  }
}
