import { firstOf } from '../base'
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

/** The facets of all records of a source, laid out once, so that those of any line are counted in one pass. */
export interface FacetIndex {
  of: Record<RecordFacet, { names: string[]; starts: Uint32Array; values: Uint32Array }>
}

export function facetIndex(records: readonly Rec[]): FacetIndex {
  const lay = (facet: RecordFacet): FacetIndex['of'][RecordFacet] => {
    const ids = new Map<string, number>()
    const starts = new Uint32Array(records.length + 1)
    const values: number[] = []
    records.forEach((record, doc) => {
      for (const value of facetValues(record, facet)) {
        let id = ids.get(value)
        if (id === undefined) ids.set(value, (id = ids.size))
        values.push(id)
      }
      starts[doc + 1] = values.length
    })
    return { names: [...ids.keys()], starts, values: Uint32Array.from(values) }
  }
  return {
    of: Object.fromEntries(RECORD_FACETS.map((f) => [f, lay(f)])) as FacetIndex['of'],
  }
}

/** For each of the facets in which something is chosen: which of these records have one of the values chosen there. */
function passes(
  index: FacetIndex,
  docs: ArrayLike<number>,
  chosen: ChosenFacets,
): Map<RecordFacet, Uint8Array> {
  const found = new Map<RecordFacet, Uint8Array>()
  for (const facet of RECORD_FACETS) {
    const wanted = chosen[facet]
    if (!wanted?.length) continue
    const { names, starts, values } = index.of[facet]
    const asked = Uint8Array.from(names, (n) => (wanted.includes(n) ? 1 : 0))
    const has = new Uint8Array(docs.length)
    for (let i = 0; i < docs.length; i++)
      for (let v = starts[docs[i]!]!; v < starts[docs[i]! + 1]!; v++) if (asked[values[v]!]) has[i] = 1
    found.set(facet, has)
  }
  return found
}

/** Those of the records (by number, with their index) that have what is chosen. */
export function docsWithFacets(index: FacetIndex, docs: ArrayLike<number>, chosen: ChosenFacets): number[] {
  const tests = [...passes(index, docs, chosen).values()]
  const left: number[] = []
  for (let i = 0; i < docs.length; i++) if (tests.every((t) => t[i])) left.push(docs[i]!)
  return left
}

/**
 * The values of every facet of some records (by number, with their index), the most frequent first; equal counts in the order of their names. What is chosen in the
 * other facets holds; what is chosen in the facet itself does not, since its values are joined by OR: each count is what
 * that value brings.
 */
export function countFacets(
  index: FacetIndex,
  docs: ArrayLike<number>,
  chosen: ChosenFacets = {},
  most = 12,
): Record<RecordFacet, FacetTable> {
  const tests = passes(index, docs, chosen)
  const tables = RECORD_FACETS.map((facet): [RecordFacet, FacetTable] => {
    const others = [...tests].flatMap(([f, test]) => (f === facet ? [] : [test]))
    const { names, starts, values } = index.of[facet]
    const counts = new Uint32Array(names.length)
    let of = 0
    for (let i = 0; i < docs.length; i++) {
      if (!others.every((t) => t[i])) continue
      of++
      for (let v = starts[docs[i]!]!; v < starts[docs[i]! + 1]!; v++) counts[values[v]!]!++
    }
    const found: FacetCount[] = []
    counts.forEach((count, id) => {
      if (count) found.push({ value: names[id]!, count })
    })
    return [facet, { of, values: firstOf(found, most, byCount) }]
  })
  return Object.fromEntries(tables) as Record<RecordFacet, FacetTable>
}

const byCount = (a: FacetCount, b: FacetCount): number => b.count - a.count || (a.value < b.value ? -1 : 1)
