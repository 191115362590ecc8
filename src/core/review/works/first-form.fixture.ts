import type { Rec } from '../../records'

/** How the first form found works, as it stood: what version 0 of the rules is held against. */
export function worksOfFirstForm(
  imports: readonly { sourceId: string; digest: string }[],
  records: (digest: string) => readonly Rec[] | undefined,
): { record: Rec; from: { sourceId: string; recordId: string }[] }[] {
  const works: { record: Rec; from: { sourceId: string; recordId: string }[] }[] = []
  const byKey = new Map<string, (typeof works)[number]>()
  for (const { sourceId, digest } of imports)
    for (const record of records(digest) ?? []) {
      const doi = record.doi ? `doi:${record.doi.toLowerCase()}` : undefined
      const keys = [`${sourceId} ${record.id}`, ...(doi === undefined ? [] : [doi])]
      let work = keys.map((k) => byKey.get(k)).find((w) => w)
      if (!work) {
        work = { record, from: [] }
        works.push(work)
      }
      for (const key of keys) if (!byKey.has(key)) byKey.set(key, work)
      if (!work.from.some((f) => f.sourceId === sourceId && f.recordId === record.id))
        work.from.push({ sourceId, recordId: record.id })
    }
  return works
}
