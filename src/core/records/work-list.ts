import { foldLabel } from '../base'
import { evaluate, relevance, type Index } from '../engine'
import { parse, type Parsed } from '../query'
import {
  countItems,
  itemsWith,
  layFacet,
  type Chosen,
  type FacetIndexOf,
  type FacetTable,
} from './facet-index'
import { valuesIn, type ListColumns, type WorkFacet, type WorkOrder } from './list-columns'

export type ChosenWorks = Chosen<WorkFacet>

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

/** The words looked for in a list as they are understood: without a field, in those that say what a work is about. */
export const readWords = (words: string): Parsed => {
  const text = words.trim()
  return parse(/^[a-z]+(?:,[a-z]+)*:/.test(text) ? text : `${DEFAULT_FIELDS}: (${text})`)
}

/**
 * A list of works that is searched, narrowed and sorted: columns are laid out once, and each question is answered in one
 * pass over them.
 */
export class WorkList {
  private readonly all: Uint32Array
  private now: { changing: Changing; index: FacetIndexOf<WorkFacet> } | undefined

  /** `words` gives the index of the works in their order; it is asked for when words are looked for. */
  constructor(
    readonly columns: ListColumns,
    private readonly words: () => Index,
  ) {
    this.all = Uint32Array.from({ length: columns.count }, (_, i) => i)
  }

  /** Answers what is asked; `changing` says what holds now of each work. */
  ask(asked: AskedWorks, changing: Changing, most = 8): AnsweredWorks {
    const { chosen = {}, leftOut = {}, order = 'added', only } = asked
    const index = this.indexFor(changing)
    const { found, trouble, scores } = this.find(asked.words ?? '')
    const exact = only && [...only].sort().join('\n')
    const all = itemsWith(index, found, {}, leftOut)
    const kept =
      exact === undefined
        ? all
        : all.filter((at) => valuesIn(this.columns, 'source', at).sort().join('\n') === exact)
    const facets = countItems(index, kept, chosen, (facet) => (facet === 'year' ? 400 : most))
    const left = itemsWith(index, kept, chosen)
    const places = this.sorted(left, order, scores)
    return { places, facets, ...(trouble === undefined ? {} : { trouble }) }
  }

  /** All columns; those that change are laid out once for as long as the same `changing` is given. */
  private indexFor(changing: Changing): FacetIndexOf<WorkFacet> {
    if (this.now?.changing === changing) return this.now.index
    const { count } = this.columns
    const index = {
      ...this.columns.steady,
      ruled: layFacet(count, (at) => changing.ruled(at)),
      group: layFacet(count, (at) => changing.groups(at)),
      new: layFacet(count, (at) => (changing.isNew(at) ? ['with the last import'] : [])),
    }
    this.now = { changing, index }
    return index
  }

  private find(words: string): { found: ArrayLike<number>; trouble?: string; scores?: Float32Array } {
    if (!words.trim()) return { found: this.all }
    const read = readWords(words)
    const trouble = read.problems.find((p) => p.severity === 'error')?.message
    if (!read.tree || trouble !== undefined)
      return { found: this.all, trouble: trouble ?? 'These words ask for nothing.' }
    const index = this.words()
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
    const known = this.columns.ranks[order]
    if (known) return known
    const keys = keysOf(this.columns, order)
    const sorted = [...this.all].sort((a, b) => (keys[a]! < keys[b]! ? -1 : keys[a]! > keys[b]! ? 1 : a - b))
    const rank = new Uint32Array(sorted.length)
    sorted.forEach((place, n) => {
      rank[place] = n
    })
    this.columns.ranks[order] = rank
    return rank
  }
}

/** The texts by which works stand in an order; numbers that begin with the greatest are turned round. */
function keysOf(columns: ListColumns, order: WorkOrder): string[] {
  const { titles, firstAuthors, years, timesCited } = columns
  const down = (n: number): string => String(9_999_999 - n).padStart(8, '0')
  const key = (at: number): string => {
    switch (order) {
      case 'year':
        return `${down(years[at]!)} ${foldLabel(firstAuthors[at]!)}`
      case 'author':
        return `${foldLabel(firstAuthors[at]! || '\uffff')} ${down(years[at]!)}`
      case 'title':
        return foldLabel(titles[at]!)
      case 'times cited':
        return down(timesCited[at]!)
      case 'source':
        return valuesIn(columns, 'source', at)[0] ?? ''
      default:
        return ''
    }
  }
  return Array.from({ length: columns.count }, (_, at) => key(at))
}
