import { foldLabel } from '../base'
import { buildIndex, evaluate, relevance, type Index } from '../engine'
import { parse } from '../query'
import {
  countItems,
  itemsWith,
  layFacet,
  type Chosen,
  type FacetIndexOf,
  type FacetTable,
} from './facet-index'
import { toDocument, type Rec } from './record'

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
export type ChosenWorks = Chosen<WorkFacet>

export const WORK_ORDERS = ['added', 'year', 'author', 'title', 'source', 'times cited', 'relevance'] as const
export type WorkOrder = (typeof WORK_ORDERS)[number]

/** A work as the list needs it. */
export interface ListedWork {
  id: string
  record: Rec
  /** The sources in which it was found, in their order, each once. */
  sources: readonly string[]
  /** The imports that brought it last. */
  added: string
}

/** What is asked of the list. */
export interface AskedWorks {
  /** In the plain notation; words without a field are looked for in title, abstract, headings, keywords and authors. */
  words?: string
  chosen?: ChosenWorks
  leftOut?: ChosenWorks
  /** Found in exactly these sources. */
  only?: readonly string[] | undefined
  order?: WorkOrder
}

export interface AnsweredWorks {
  /** Places of the works in the list, in the order asked for. */
  places: number[]
  facets: Record<WorkFacet, FacetTable>
  /** Why the words could not be read; then they are not applied. */
  trouble?: string
}

/** What may change while works stay the same, by place. Another is given when something of it has changed. */
export interface Changing {
  ruled: (at: number) => readonly string[]
  groups: (at: number) => readonly string[]
  isNew: (at: number) => boolean
}

const DEFAULT_FIELDS = 'title,abstract,subject,keywords,author'
const decade = (year: number | undefined): string[] => (year === undefined ? ['no year'] : [String(year)])

/**
 * A list of works that is searched, narrowed and sorted: columns are laid out once, and each question is answered in one
 * pass over them.
 */
export class WorkList {
  private readonly steady: FacetIndexOf<WorkFacet>
  private readonly orders = new Map<WorkOrder, Uint32Array>()
  private readonly all: Uint32Array
  private words: Index | undefined
  private now: { changing: Changing; index: FacetIndexOf<WorkFacet> } | undefined

  constructor(readonly works: readonly ListedWork[]) {
    const count = works.length
    const of = (valuesOf: (r: Rec, w: ListedWork) => readonly (string | undefined)[]) =>
      layFacet(count, (at) => {
        const work = works[at]!
        return [...new Set(valuesOf(work.record, work))].filter(
          (v) => v !== undefined && v !== '',
        ) as string[]
      })
    const none = layFacet(count, () => [])
    this.all = Uint32Array.from({ length: count }, (_, i) => i)
    this.steady = {
      'found in': of((_, w) => [
        w.sources.length === 1 ? 'one source' : w.sources.length === 2 ? 'two' : 'three and more',
      ]),
      source: of((_, w) => w.sources),
      ruled: none,
      group: none,
      new: none,
      year: of((r) => decade(r.year)),
      type: of((r) => [r.type]),
      journal: of((r) => [r.journal]),
      language: of((r) => [r.language]),
      heading: of((r) => r.headings.map((h) => h.label)),
      keyword: of((r) => r.keywords.map((k) => k.toLowerCase())),
      author: of((r) => r.authors),
      'full text': of((r) => [r.fulltext === undefined ? undefined : 'here']),
    }
  }

  /** Answers what is asked; `changing` says what holds now of each work. */
  ask(asked: AskedWorks, changing: Changing, most = 8): AnsweredWorks {
    const { chosen = {}, leftOut = {}, order = 'added', only } = asked
    const index = this.indexFor(changing)
    const { found, trouble, scores } = this.find(asked.words ?? '')
    const exact = only && [...only].sort().join('\n')
    const all = itemsWith(index, found, {}, leftOut)
    const kept =
      exact === undefined ? all : all.filter((at) => [...this.works[at]!.sources].sort().join('\n') === exact)
    const facets = countItems(index, kept, chosen, (facet) => (facet === 'year' ? 400 : most))
    const left = itemsWith(index, kept, chosen)
    const places = this.sorted(left, order, scores)
    return { places, facets, ...(trouble === undefined ? {} : { trouble }) }
  }

  /** All columns; those that change are laid out once for as long as the same `changing` is given. */
  private indexFor(changing: Changing): FacetIndexOf<WorkFacet> {
    if (this.now?.changing === changing) return this.now.index
    const count = this.works.length
    const index = {
      ...this.steady,
      ruled: layFacet(count, (at) => changing.ruled(at)),
      group: layFacet(count, (at) => changing.groups(at)),
      new: layFacet(count, (at) => (changing.isNew(at) ? ['with the last import'] : [])),
    }
    this.now = { changing, index }
    return index
  }

  /** Makes ready for words to be looked for; else that is done when they are first asked for. */
  index(): Index {
    return (this.words ??= buildIndex(this.works.map((w) => toDocument(w.record))))
  }

  private find(words: string): { found: ArrayLike<number>; trouble?: string; scores?: Float32Array } {
    const text = words.trim()
    if (!text) return { found: this.all }
    const read = parse(/^[a-z]+(?:,[a-z]+)*:/.test(text) ? text : `${DEFAULT_FIELDS}: (${text})`)
    const trouble = read.problems.find((p) => p.severity === 'error')?.message
    if (!read.tree || trouble !== undefined)
      return { found: this.all, trouble: trouble ?? 'These words ask for nothing.' }
    const index = this.index()
    return { found: evaluate(index, read.tree).docs, scores: relevance(index, read.tree) }
  }

  private sorted(places: number[], order: WorkOrder, scores: Float32Array | undefined): number[] {
    // Without words nothing is more to the point than anything else.
    if (order === 'added' || (order === 'relevance' && !scores)) return places
    if (order === 'relevance') return places.sort((a, b) => scores![b]! - scores![a]! || a - b)
    const rank = this.rankOf(order)
    return places.sort((a, b) => rank[a]! - rank[b]!)
  }

  /** By place, its rank in an order; found once. */
  private rankOf(order: WorkOrder): Uint32Array {
    const known = this.orders.get(order)
    if (known) return known
    const keys = this.works.map((w) => keyOf(w, order))
    const sorted = [...this.all].sort((a, b) => (keys[a]! < keys[b]! ? -1 : keys[a]! > keys[b]! ? 1 : a - b))
    const rank = new Uint32Array(sorted.length)
    sorted.forEach((place, n) => {
      rank[place] = n
    })
    this.orders.set(order, rank)
    return rank
  }
}

/** The text by which a work stands in an order; numbers that begin with the greatest are turned round. */
function keyOf({ record, sources }: ListedWork, order: WorkOrder): string {
  const down = (n: number | undefined): string => String(9_999_999 - (n ?? -1)).padStart(8, '0')
  switch (order) {
    case 'year':
      return `${down(record.year)} ${foldLabel(record.authors[0] ?? '')}`
    case 'author':
      return `${foldLabel(record.authors[0] ?? '\uffff')} ${down(record.year)}`
    case 'title':
      return foldLabel(record.title)
    case 'times cited':
      return down(record.timesCited)
    case 'source':
      return sources[0] ?? ''
    default:
      return ''
  }
}
