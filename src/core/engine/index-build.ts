import { foldLabel, foldWord, tokens } from '../base'
import { FIELD_SHIFT, INDEXED_FIELDS, VALUE_GAP, type Document } from './document'
import { Index } from './index-read'

const ASCII_RUNS = /^[\x20-\x7e\s]*$/
const ASCII_WORDS = /[A-Za-z0-9]+/g

/**
 * Builds the index of documents numbered in the order given. Two passes: the first turns every word into a number in
 * one long row, the second sorts the row by counting. No object is made for a word or a posting, which is what makes
 * it fast (see docs/design.md for the measurement).
 */
export function buildIndex(documents: Iterable<Document>): Index {
  const builder = new Builder()
  for (const document of documents) builder.add(document)
  return builder.finish()
}

/** Doubling rows of numbers. */
class Row {
  values = new Uint32Array(1 << 12)
  length = 0
  push(value: number): void {
    if (this.length === this.values.length) {
      const wider = new Uint32Array(this.length * 2)
      wider.set(this.values)
      this.values = wider
    }
    this.values[this.length++] = value
  }
}

export class Builder {
  // Spelling as written → number of its folded word; most words are folded once only.
  private readonly spelled = new Map<string, number>()
  private readonly folded = new Map<string, number>()
  private readonly terms: string[] = []
  private readonly rowTerm = new Row()
  private readonly rowPosition = new Row()
  private readonly ends = new Row()
  private readonly headings = new Map<string, { docs: number[]; main: number[] }>()
  private readonly classes = new Map<string, number[]>()
  private readonly facets: Document['facets'][] = []

  add(document: Document): void {
    const doc = this.facets.length
    for (let f = 0; f < INDEXED_FIELDS.length; f++) {
      const values = document.fields[INDEXED_FIELDS[f]!]
      if (!values) continue
      let place = 0
      for (const value of values) {
        place = this.addValue(value, f, place) + VALUE_GAP
      }
    }
    this.ends.push(this.rowTerm.length)
    for (const { label, main } of document.headings) {
      const key = foldLabel(label)
      let entry = this.headings.get(key)
      if (!entry) this.headings.set(key, (entry = { docs: [], main: [] }))
      if (entry.docs[entry.docs.length - 1] !== doc) entry.docs.push(doc)
      if (main && entry.main[entry.main.length - 1] !== doc) entry.main.push(doc)
    }
    for (const code of document.classes) {
      const docs = this.classes.get(code)
      if (!docs) this.classes.set(code, [doc])
      else if (docs[docs.length - 1] !== doc) docs.push(doc)
    }
    this.facets.push(document.facets)
  }

  private addValue(value: string, field: number, start: number): number {
    const base = (field << FIELD_SHIFT) >>> 0
    let place = start
    if (ASCII_RUNS.test(value)) {
      const words = value.match(ASCII_WORDS)
      if (words)
        for (const spelled of words) {
          this.rowTerm.push(this.termOf(spelled))
          this.rowPosition.push(base + place++)
        }
    } else {
      for (const token of tokens(value)) {
        this.rowTerm.push(this.termOf(token.text))
        this.rowPosition.push(base + place++)
      }
    }
    return place
  }

  private termOf(spelled: string): number {
    const known = this.spelled.get(spelled)
    if (known !== undefined) return known
    const folded = foldWord(spelled)
    let term = this.folded.get(folded)
    if (term === undefined) {
      term = this.terms.length
      this.terms.push(folded)
      this.folded.set(folded, term)
    }
    this.spelled.set(spelled, term)
    return term
  }

  finish(): Index {
    const size = this.facets.length
    const count = this.rowTerm.length
    const rowTerm = this.rowTerm.values
    const rowPosition = this.rowPosition.values
    // Number the terms in alphabetical order, so that a stem is one stretch of them.
    const order = this.terms.map((_, i) => i).sort((a, b) => (this.terms[a]! < this.terms[b]! ? -1 : 1))
    const rank = new Uint32Array(order.length)
    order.forEach((old, now) => (rank[old] = now))
    const terms = order.map((old) => this.terms[old]!)

    const cursor = new Uint32Array(terms.length + 1)
    for (let i = 0; i < count; i++) cursor[rank[rowTerm[i]!]! + 1]!++
    for (let t = 0; t < terms.length; t++) cursor[t + 1]! += cursor[t]!
    const firstPosition = cursor.slice()
    const positions = new Uint32Array(count)
    const docOf = new Uint32Array(count)
    let pairs = 0
    const lastDoc = new Int32Array(terms.length).fill(-1)
    for (let doc = 0, i = 0; doc < size; doc++) {
      const end = this.ends.values[doc]!
      for (; i < end; i++) {
        const term = rank[rowTerm[i]!]!
        const at = cursor[term]!++
        positions[at] = rowPosition[i]!
        docOf[at] = doc
        if (lastDoc[term] !== doc) {
          lastDoc[term] = doc
          pairs++
        }
      }
    }
    const pairDoc = new Uint32Array(pairs)
    const pairMask = new Uint16Array(pairs)
    const pairStart = new Uint32Array(pairs + 1)
    const termPairs = new Uint32Array(terms.length + 1)
    let pair = -1
    for (let t = 0; t < terms.length; t++) {
      termPairs[t] = pair + 1
      let doc = -1
      for (let i = firstPosition[t]!; i < firstPosition[t + 1]!; i++) {
        if (docOf[i] !== doc) {
          doc = docOf[i]!
          pair++
          pairDoc[pair] = doc
          pairStart[pair] = i
        }
        pairMask[pair]! |= 1 << (positions[i]! >>> FIELD_SHIFT)
      }
    }
    termPairs[terms.length] = pair + 1
    pairStart[pairs] = count
    return new Index({
      size,
      terms,
      termPairs,
      pairDoc,
      pairMask,
      pairStart,
      positions,
      headings: new Map(
        [...this.headings].map(([k, v]) => [
          k,
          { docs: Uint32Array.from(v.docs), main: Uint32Array.from(v.main) },
        ]),
      ),
      classes: new Map([...this.classes].map(([k, v]) => [k, Uint32Array.from(v)])),
      facets: this.facets,
    })
  }
}
