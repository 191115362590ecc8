import type { Rec } from './record'

export const RECORD_FACETS = ['heading', 'keyword', 'year', 'type', 'language', 'place'] as const
export type RecordFacet = (typeof RECORD_FACETS)[number]
/** Values chosen together in one facet are joined by OR, facets by AND. */
export type ChosenFacets = Partial<Record<RecordFacet, readonly string[]>>

/** The values that a record has in a facet, each once. */
export function facetValues(record: Rec, facet: RecordFacet): string[] {
  switch (facet) {
    case 'heading':
      return [...new Set(record.headings.map((h) => h.label))]
    case 'keyword':
      return [...new Set(record.keywords.map((k) => k.toLowerCase()))]
    case 'year':
      return record.year === undefined ? [] : [String(record.year)]
    case 'type':
      return record.type ? [record.type] : []
    case 'language':
      return record.language ? [record.language] : []
    case 'place':
      return [...new Set(record.places)]
  }
}

export const hasFacets = (record: Rec, chosen: ChosenFacets): boolean =>
  RECORD_FACETS.every((facet) => {
    const values = chosen[facet]
    return !values?.length || facetValues(record, facet).some((v) => values.includes(v))
  })

export interface FacetCount {
  value: string
  /** How many records would be left if it alone were chosen in its facet. */
  count: number
}
export interface FacetTable {
  /** Records with what is chosen in the other facets; less `count` is what would be left without a value. */
  of: number
  values: FacetCount[]
}

/**
 * The values of every facet, the most frequent first; equal counts in the order of their names. What is chosen in the
 * other facets holds; what is chosen in the facet itself does not, since its values are joined by OR: each count is what
 * that value brings.
 */
export function countFacets(
  records: readonly Rec[],
  chosen: ChosenFacets = {},
  most = 12,
): Record<RecordFacet, FacetTable> {
  const tables = RECORD_FACETS.map((facet): [RecordFacet, FacetTable] => {
    const { [facet]: _own, ...others } = chosen
    const left = records.filter((r) => hasFacets(r, others))
    const counts = new Map<string, number>()
    for (const record of left)
      for (const value of facetValues(record, facet)) counts.set(value, (counts.get(value) ?? 0) + 1)
    const values = [...counts]
      .map(([value, count]) => ({ value, count }))
      .sort((a, b) => b.count - a.count || (a.value < b.value ? -1 : 1))
      .slice(0, most)
    return [facet, { of: left.length, values }]
  })
  return Object.fromEntries(tables) as Record<RecordFacet, FacetTable>
}
