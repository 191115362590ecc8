import { firstOf } from '../base'

export interface FacetCount {
  value: string
  /** How many would be left if it alone were chosen in its facet. */
  count: number
}
export interface FacetTable {
  /** Those with what is chosen in the other facets; less `count` is what would be left without a value. */
  of: number
  values: FacetCount[]
}
/** Values chosen together in one facet are joined by OR, facets by AND. */
export type Chosen<F extends string> = Partial<Record<F, readonly string[]>>

interface Column {
  names: string[]
  starts: Uint32Array
  values: Uint32Array
}
/** The facets of a list, laid out once, so that those of any part of it are counted in one pass. */
export type FacetIndexOf<F extends string> = Record<F, Column>

/** Lays one facet out; `valuesOf` gives the values that the item at a place has. */
export function layFacet(count: number, valuesOf: (at: number) => readonly string[]): Column {
  const ids = new Map<string, number>()
  const starts = new Uint32Array(count + 1)
  const values: number[] = []
  for (let at = 0; at < count; at++) {
    for (const value of valuesOf(at)) {
      let id = ids.get(value)
      if (id === undefined) ids.set(value, (id = ids.size))
      values.push(id)
    }
    starts[at + 1] = values.length
  }
  return { names: [...ids.keys()], starts, values: Uint32Array.from(values) }
}

const facetsOf = <F extends string>(index: FacetIndexOf<F>): F[] => Object.keys(index) as F[]

/** For each of the facets in which something is chosen: which of these items have one of the values chosen there. */
function passes<F extends string>(
  index: FacetIndexOf<F>,
  items: ArrayLike<number>,
  chosen: Chosen<F>,
): Map<F, Uint8Array> {
  const found = new Map<F, Uint8Array>()
  for (const facet of facetsOf(index)) {
    const wanted = chosen[facet]
    if (!wanted?.length) continue
    const { names, starts, values } = index[facet]
    const wants = new Set(wanted)
    const asked = Uint8Array.from(names, (n) => (wants.has(n) ? 1 : 0))
    const has = new Uint8Array(items.length)
    for (let i = 0; i < items.length; i++)
      for (let v = starts[items[i]!]!; v < starts[items[i]! + 1]!; v++) if (asked[values[v]!]) has[i] = 1
    found.set(facet, has)
  }
  return found
}

/** Those of the items that have what is chosen, and nothing of what is left out. */
export function itemsWith<F extends string>(
  index: FacetIndexOf<F>,
  items: ArrayLike<number>,
  chosen: Chosen<F>,
  leftOut: Chosen<F> = {},
): number[] {
  const tests = [...passes(index, items, chosen).values()]
  const nots = [...passes(index, items, leftOut).values()]
  const left: number[] = []
  for (let i = 0; i < items.length; i++)
    if (tests.every((t) => t[i]) && !nots.some((t) => t[i])) left.push(items[i]!)
  return left
}

/**
 * The values of every facet of some items, the most frequent first; equal counts in the order of their names. What is
 * chosen in the other facets holds; what is chosen in the facet itself does not, since its values are joined by OR: each
 * count is what that value brings.
 */
export function countItems<F extends string>(
  index: FacetIndexOf<F>,
  items: ArrayLike<number>,
  chosen: Chosen<F> = {},
  most: number | ((facet: F) => number) = 12,
): Record<F, FacetTable> {
  const tests = passes(index, items, chosen)
  const tables = facetsOf(index).map((facet): [F, FacetTable] => {
    const others = [...tests].flatMap(([f, test]) => (f === facet ? [] : [test]))
    const { names, starts, values } = index[facet]
    const counts = new Uint32Array(names.length)
    let of = 0
    for (let i = 0; i < items.length; i++) {
      if (!others.every((t) => t[i])) continue
      of++
      for (let v = starts[items[i]!]!; v < starts[items[i]! + 1]!; v++) counts[values[v]!]!++
    }
    const found: FacetCount[] = []
    counts.forEach((count, id) => {
      if (count) found.push({ value: names[id]!, count })
    })
    return [facet, { of, values: firstOf(found, typeof most === 'number' ? most : most(facet), byCount) }]
  })
  return Object.fromEntries(tables) as Record<F, FacetTable>
}

const byCount = (a: FacetCount, b: FacetCount): number => b.count - a.count || (a.value < b.value ? -1 : 1)
