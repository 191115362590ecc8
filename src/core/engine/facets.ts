import type { DocSet } from './docset'
import type { Index } from './index-read'

export interface FacetValue {
  value: string | number
  /** How many of the documents would be left if it were chosen. */
  count: number
}

/**
 * The values of a facet among these documents with their counts, the most frequent first; equal counts by value. A
 * document that has a value twice counts once. What a value leaves out is the rest: `docs.length - count`.
 */
export function facetCounts(index: Index, docs: DocSet, facet: string): FacetValue[] {
  const counts = new Map<string | number, number>()
  for (let i = 0; i < docs.length; i++) {
    const values = index.parts.facets[docs[i]!]![facet]
    if (!values) continue
    for (let k = 0; k < values.length; k++) {
      const value = values[k]!
      if (values.indexOf(value) === k) counts.set(value, (counts.get(value) ?? 0) + 1)
    }
  }
  return [...counts]
    .map(([value, count]) => ({ value, count }))
    .sort((a, b) => b.count - a.count || (a.value < b.value ? -1 : a.value > b.value ? 1 : 0))
}

/** The documents that have any of these values: values chosen together are joined by OR. */
export function withFacet(
  index: Index,
  docs: DocSet,
  facet: string,
  values: readonly (string | number)[],
): DocSet {
  const wanted = new Set(values)
  return docs.filter((d) => index.parts.facets[d]![facet]?.some((v) => wanted.has(v)) ?? false)
}
