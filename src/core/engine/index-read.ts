import { isMasked, maskStem, maskTest } from '../query'
import { classMatches, type Document } from './document'
import { EMPTY, uniteAll, type DocSet } from './docset'

/** What is there without a word having been read. */
export interface HeadParts {
  /** How many documents there are. */
  size: number
  /** By folded label. */
  headings: Map<string, { docs: DocSet; main: DocSet }>
  classes: Map<string, DocSet>
  facets: Document['facets'][]
}
/** The words of the documents, and where they stand. */
export interface WordParts {
  /** Folded words in alphabetical order (by UTF-16 units). */
  terms: string[]
  /** For each term its first pair; one more entry closes the row. A pair is one term in one document. */
  termPairs: Uint32Array
  pairDoc: Uint32Array
  /** The fields in which the term stands in that document, as bits. */
  pairMask: Uint16Array
  pairStart: Uint32Array
  /** Positions of each pair, ascending. */
  positions: Uint32Array
}
export type IndexParts = HeadParts & WordParts

/** Reads an index: which terms a word means, in which documents they stand, and where. */
export class Index {
  readonly size: number
  private read: WordParts | undefined

  /** `asked` gives the words, once, when the first word is. */
  constructor(
    readonly heads: HeadParts,
    private readonly asked: () => WordParts,
  ) {
    this.size = heads.size
  }

  get words(): WordParts {
    return (this.read ??= this.asked())
  }

  /** Number of the first term not below `text`. */
  private lowerBound(text: string): number {
    const { terms } = this.words
    let low = 0
    let high = terms.length
    while (low < high) {
      const middle = (low + high) >>> 1
      if (terms[middle]! < text) low = middle + 1
      else high = middle
    }
    return low
  }

  /** The numbers of the terms that a word (with or without signs) matches, ascending. */
  termsFor(word: string): number[] {
    const { terms } = this.words
    const stem = maskStem(word)
    if (!isMasked(word)) {
      const at = this.lowerBound(stem)
      return terms[at] === stem ? [at] : []
    }
    const found: number[] = []
    const plain = /^[^*?]+\*$/.test(word)
    const test = plain ? () => true : maskTest(word)
    for (let t = this.lowerBound(stem); t < terms.length && terms[t]!.startsWith(stem); t++)
      if (test(terms[t]!)) found.push(t)
    return found
  }

  term(number: number): string {
    return this.words.terms[number]!
  }

  /** The documents where a term stands in one of the fields of `mask`. */
  docsOf(term: number, mask: number): DocSet {
    const { termPairs, pairDoc, pairMask } = this.words
    const from = termPairs[term]!
    const to = termPairs[term + 1]!
    let n = 0
    for (let p = from; p < to; p++) if (pairMask[p]! & mask) n++
    if (n === to - from) return pairDoc.subarray(from, to)
    const out = new Uint32Array(n)
    n = 0
    for (let p = from; p < to; p++) if (pairMask[p]! & mask) out[n++] = pairDoc[p]!
    return out
  }

  headingDocs(foldedLabels: readonly string[], main: boolean): DocSet {
    const sets = foldedLabels.map((label) => {
      const entry = this.heads.headings.get(label)
      return entry ? (main ? entry.main : entry.docs) : EMPTY
    })
    return uniteAll(sets, this.size)
  }

  classDocs(code: string, below: boolean): DocSet {
    const sets: DocSet[] = []
    for (const [other, docs] of this.heads.classes) if (classMatches(other, code, below)) sets.push(docs)
    return uniteAll(sets, this.size)
  }
}
