import {
  countItems,
  itemsWith,
  layFacet,
  type Chosen,
  type FacetIndexOf,
  type FacetTable,
} from './facet-index'
import type { Rec } from './record'
import { oneType } from './types'

export const RECORD_FACETS = ['heading', 'keyword', 'year', 'type', 'language', 'place'] as const
export type RecordFacet = (typeof RECORD_FACETS)[number]
export type ChosenFacets = Chosen<RecordFacet>
export type { FacetCount, FacetTable } from './facet-index'

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
      return record.type ? [oneType(record.type)] : []
    case 'language':
      return record.language ? [record.language] : []
    case 'place':
      return [...new Set(record.places)]
  }
}

/** The facets of all records of a source, laid out once, so that those of any line are counted in one pass. */
export type FacetIndex = FacetIndexOf<RecordFacet>

export const facetIndex = (records: readonly Rec[]): FacetIndex =>
  Object.fromEntries(
    RECORD_FACETS.map((f) => [f, layFacet(records.length, (at) => facetValues(records[at]!, f))]),
  ) as FacetIndex

/** Those of the records (by number, with their index) that have what is chosen. */
export const docsWithFacets = (index: FacetIndex, docs: ArrayLike<number>, chosen: ChosenFacets): number[] =>
  itemsWith(index, docs, chosen)

/** The values of every facet of some records (by number, with their index), as `countItems` has them. */
export const countFacets = (
  index: FacetIndex,
  docs: ArrayLike<number>,
  chosen: ChosenFacets = {},
  most = 12,
): Record<RecordFacet, FacetTable> => countItems(index, docs, chosen, most)
