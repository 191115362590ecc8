import { listed, plural } from '../base'
import { standingImports } from './imports'
import type { Import, Review } from './values'

/** What is lacking of a review where some of what lies beside its journal is not to be had. */
export interface MissingBytes {
  /** By source, in the order of the plan: how many records have no bibliographic data any more. */
  records: { sourceId: string; count: number }[]
  /** Everything else: files that were brought in, abstracts, copies of pages, texts that were frozen. */
  files: number
}

const blocksOf = (i: Import): { digest: string; count: number }[] => {
  const rest = i.rest ?? []
  return [{ digest: i.digest, count: i.count - rest.reduce((n, r) => n + r.count, 0) }, ...rest]
}

/** What these digests stood for, as people know it; of records those that stand in the review. */
export function missingBytes(review: Review, missing: ReadonlySet<string>): MissingBytes {
  const counts = new Map<string, number>()
  const ofRecords = new Set<string>()
  for (const i of standingImports(review))
    for (const { digest, count } of blocksOf(i)) {
      if (!missing.has(digest)) continue
      ofRecords.add(digest)
      counts.set(i.sourceId, (counts.get(i.sourceId) ?? 0) + count)
    }
  return {
    records: [...counts].map(([sourceId, count]) => ({ sourceId, count })),
    files: missing.size - ofRecords.size,
  }
}

/** The same in words: "74 records (Fernhollow 40, Girder 34) and 3 files"; empty where nothing is missing. */
export function missingInWords(review: Review, missing: ReadonlySet<string>): string {
  // Asked at every deed, and nearly always of nothing.
  if (!missing.size) return ''
  const { records, files } = missingBytes(review, missing)
  const nameOf = (id: string): string => review.sources.find((s) => s.id === id)?.name ?? id
  const all = records.reduce((n, r) => n + r.count, 0)
  return listed([
    ...(all
      ? [`${plural(all, 'record')} (${records.map((r) => `${nameOf(r.sourceId)} ${r.count}`).join(', ')})`]
      : []),
    ...(files ? [plural(files, 'file')] : []),
  ])
}
