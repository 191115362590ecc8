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

const idOf = ({ sourceId, recordId }: Work['from'][number]): string => `${sourceId}:${recordId}`

/**
 * The works behind all imported records, in the order in which they came. Records with the same number in the same
 * source are one work; so are records that share a DOI. A work is named by its DOI, else by its first record; one that
 * was ruled under another of these names keeps that. So it keeps its rulings when some of its records are taken out.
 */
export function worksOf(
  imports: readonly Import[],
  records: (digest: string) => readonly Rec[] | undefined,
  rulings: Readonly<Record<string, object>> = {},
): Work[] {
  const works: Work[] = []
  const byKey = new Map<string, Work>()
  const dois = new Map<Work, string>()
  for (const { sourceId, digest } of imports)
    for (const record of records(digest) ?? []) {
      const doi = record.doi ? `doi:${record.doi.toLowerCase()}` : undefined
      const keys = [`${sourceId} ${record.id}`, ...(doi === undefined ? [] : [doi])]
      let work = keys.map((k) => byKey.get(k)).find((w) => w)
      if (!work) {
        work = { id: '', record, from: [] }
        works.push(work)
      }
      for (const key of keys) if (!byKey.has(key)) byKey.set(key, work)
      if (doi !== undefined && byKey.get(doi) === work && !dois.has(work)) dois.set(work, doi)
      if (!work.from.some((f) => f.sourceId === sourceId && f.recordId === record.id))
        work.from.push({ sourceId, recordId: record.id })
    }
  const ruled = (id: string): boolean => Object.keys(rulings[id] ?? {}).length > 0
  for (const work of works) {
    const doi = dois.get(work)
    const names = [...(doi === undefined ? [] : [doi]), ...work.from.map(idOf)]
    work.id = names.find(ruled) ?? names[0]!
  }
  return works
}
