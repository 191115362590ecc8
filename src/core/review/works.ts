import type { Rec } from '../records'
import type { Import } from './values'

/** One article behind one or more records. */
export interface Work {
  id: string
  /** The record that is shown. */
  record: Rec
  /** Source and number of every record that stands for this work. */
  from: { sourceId: string; recordId: string }[]
}

/**
 * The works behind all imported records, in the order in which they came. Records with the same number in the same
 * source are one work; so are records that share a DOI.
 */
export function worksOf(
  imports: readonly Import[],
  records: (digest: string) => readonly Rec[] | undefined,
): Work[] {
  const works: Work[] = []
  const byKey = new Map<string, Work>()
  for (const { sourceId, digest } of imports)
    for (const record of records(digest) ?? []) {
      const keys = [`${sourceId} ${record.id}`, ...(record.doi ? [`doi ${record.doi.toLowerCase()}`] : [])]
      let work = keys.map((k) => byKey.get(k)).find((w) => w)
      if (!work) {
        work = { id: `${sourceId}:${record.id}`, record, from: [] }
        works.push(work)
      }
      for (const key of keys) if (!byKey.has(key)) byKey.set(key, work)
      if (!work.from.some((f) => f.sourceId === sourceId && f.recordId === record.id))
        work.from.push({ sourceId, recordId: record.id })
    }
  return works
}
