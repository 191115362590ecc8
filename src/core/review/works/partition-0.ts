import type { NamedRecord } from './records-of'

/**
 * Version 0 of the rules, that of the first form, frozen: records with the same number in the same source are one work,
 * and so are records that share a DOI. The first that fits is joined; two works are never made one by a later record.
 * Gives the classes in the order of their first records, each in the order in which they came. `others`, records of
 * imports that no longer stand, join what fits them and never change what the others are.
 */
export function partition0(records: readonly NamedRecord[], others: readonly NamedRecord[] = []): string[][] {
  const classes: string[][] = []
  const byKey = new Map<string, string[]>()
  const keysOf = ({ sourceId, record }: NamedRecord): string[] => [
    `${sourceId} ${record.id}`,
    ...(record.doi ? [`doi:${record.doi.toLowerCase()}`] : []),
  ]
  for (const one of records) {
    const keys = keysOf(one)
    let found = keys.map((k) => byKey.get(k)).find((c) => c)
    if (!found) classes.push((found = []))
    for (const key of keys) if (!byKey.has(key)) byKey.set(key, found)
    found.push(one.id)
  }
  for (const one of others) {
    const found = keysOf(one)
      .map((k) => byKey.get(k))
      .find((c) => c)
    if (found) found.push(one.id)
    else classes.push([one.id])
  }
  return classes
}
