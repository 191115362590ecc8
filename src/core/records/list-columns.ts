import type { Findable } from './find'
import { layFacet, type FacetIndexOf } from './facet-index'
import { whoAndWhen, type Rec } from './record'
import { oneType } from './types'

/** What a list of works can be narrowed by, in the order in which it is shown. */
export const WORK_FACETS = [
  'found in',
  'source',
  'ruled',
  'group',
  'new',
  'year',
  'type',
  'journal',
  'language',
  'heading',
  'keyword',
  'author',
  'full text',
] as const
export type WorkFacet = (typeof WORK_FACETS)[number]

export const WORK_ORDERS = ['added', 'year', 'author', 'title', 'source', 'times cited', 'relevance'] as const
export type WorkOrder = (typeof WORK_ORDERS)[number]

/** A work as the list needs it. */
export interface ListedWork {
  record: Rec
  /** The sources in which it was found, in their order, each once. */
  sources: readonly string[]
}

/** What a list says of its works, each kind in a column of its own; plain values, so that they can be kept and handed on. */
export interface ListColumns {
  count: number
  titles: string[]
  /** Who and when, as lists show it. */
  whos: string[]
  firstAuthors: string[]
  dois: (string | undefined)[]
  /** -1 where it is not known. */
  years: Int32Array
  timesCited: Int32Array
  /** Facets that are the same as long as the works are; those of what people say stand empty. */
  steady: FacetIndexOf<WorkFacet>
  /** By order, the rank of each work; those that were asked for so far. */
  ranks: Partial<Record<WorkOrder, Uint32Array>>
}

/** Lays works out as columns. */
export function layColumns(works: readonly ListedWork[]): ListColumns {
  const count = works.length
  const of = (valuesOf: (r: Rec, w: ListedWork) => readonly (string | undefined)[]) =>
    layFacet(count, (at) => {
      const work = works[at]!
      const values = valuesOf(work.record, work)
      // Most facets have one value a work: no set is made for it.
      if (values.length < 2) return values[0] === undefined || values[0] === '' ? NONE : (values as string[])
      return [...new Set(values)].filter((v) => v !== undefined && v !== '') as string[]
    })
  const none = layFacet(count, () => NONE)
  return {
    count,
    titles: works.map((w) => w.record.title),
    whos: works.map((w) => whoAndWhen(w.record)),
    firstAuthors: works.map((w) => w.record.authors[0] ?? ''),
    dois: works.map((w) => w.record.doi),
    years: Int32Array.from(works, (w) => w.record.year ?? -1),
    timesCited: Int32Array.from(works, (w) => w.record.timesCited ?? -1),
    steady: {
      'found in': of((_, w) => [
        w.sources.length === 1 ? 'one source' : w.sources.length === 2 ? 'two' : 'three and more',
      ]),
      source: of((_, w) => w.sources),
      ruled: none,
      group: none,
      new: none,
      year: of((r) => [r.year === undefined ? 'no year' : String(r.year)]),
      type: of((r) => [r.type && oneType(r.type)]),
      journal: of((r) => [r.journal]),
      language: of((r) => [r.language]),
      heading: of((r) => r.headings.map((h) => h.label)),
      keyword: of((r) => r.keywords.map((k) => k.toLowerCase())),
      author: of((r) => r.authors),
      'full text': of((r) => [r.fulltext === undefined ? undefined : 'here']),
    },
    ranks: {},
  }
}
const NONE: readonly string[] = []

/** The values of a work in a facet that stays. */
export function valuesIn(columns: ListColumns, facet: WorkFacet, at: number): string[] {
  const { names, starts, values } = columns.steady[facet]
  const found: string[] = []
  for (let v = starts[at]!; v < starts[at + 1]!; v++) found.push(names[values[v]!]!)
  return found
}

/** What identifies the works of a list, for finding them by a reference. */
export const findableIn = ({ titles, dois, years }: ListColumns): Findable[] =>
  titles.map((title, at) => ({ title, doi: dois[at], year: years[at]! < 0 ? undefined : years[at] }))
