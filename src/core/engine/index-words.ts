import { tokens } from '../base'
import { FIELD_SHIFT, INDEXED_FIELDS, VALUE_GAP, type Document } from './document'
import type { WordParts } from './index-read'
import { PlainWords } from './plain-words'

// Signs that make no words, whatever alphabet they are from, leave the letters beside them plain.
// eslint-disable-next-line no-control-regex -- control signs separate words as others do
const PLAIN_RUNS = /^[\x00-\x7f\p{P}\p{S}\p{Z}]*$/u

/** So many numbers are in a piece of a row. */
const PIECE_BITS = 16
const IN_PIECE = (1 << PIECE_BITS) - 1

/** A growing row of numbers in pieces of one size: nothing is copied as it grows, and no room is kept that is not used. */
class Row {
  private readonly pieces: Uint32Array[] = []
  private last = new Uint32Array(0)
  length = 0
  push(value: number): void {
    const at = this.length++ & IN_PIECE
    if (at === 0) this.pieces.push((this.last = new Uint32Array(1 << PIECE_BITS)))
    this.last[at] = value
  }
  /** The piece in which a number is, and its place there by `IN_PIECE`. */
  piece(at: number): Uint32Array {
    return this.pieces[at >>> PIECE_BITS]!
  }
  at(at: number): number {
    return this.piece(at)[at & IN_PIECE]!
  }
}

/** Of a word: how often it stands in all documents, in how many, and in which one last; then where the next one goes. */
const TIMES = 0
const DOCUMENTS = 1
const LAST = 2
/** So many numbers are kept of a word, a power of two. */
const KEPT_BITS = 2

/**
 * Takes in the words of documents in their order. Every word becomes a number in one long row; how often each stands is
 * counted as it comes, and the row is gone through once more to put each position at its place. No object is made for a word
 * or a posting, which is what makes it fast (see docs/design.md for the measurement).
 */
export class WordBuilder {
  private readonly folded = new Map<string, number>()
  private readonly plain = new PlainWords((word) => this.termOf(word))
  private readonly terms: string[] = []
  private readonly row = new Row()
  // Of each value in its order: the position of its first word, and where the row stands behind its last one.
  private readonly starts = new Row()
  private readonly ends = new Row()
  /** Of each document: how many values came so far. */
  private readonly valuesSoFar = new Row()
  private documents = 0
  /** By word, `1 << KEPT_BITS` numbers. */
  private counts = new Int32Array(1 << 14)

  add({ fields }: Pick<Document, 'fields'>): void {
    for (let f = 0; f < INDEXED_FIELDS.length; f++) {
      const values = fields[INDEXED_FIELDS[f]!]
      if (!values) continue
      let place = 0
      for (const value of values) {
        place = this.addValue(value, f, place) + VALUE_GAP
      }
    }
    this.valuesSoFar.push(this.ends.length)
    this.documents++
  }

  /** Takes in the words of a value, which begin at this place of the field; gives the place behind them. */
  private addValue(value: string, field: number, start: number): number {
    const before = this.row.length
    if (PLAIN_RUNS.test(value)) this.plain.each(value, this.takes)
    else for (const token of tokens(value)) this.takes(this.termOf(token.text))
    this.starts.push(((field << FIELD_SHIFT) >>> 0) + start)
    this.ends.push(this.row.length)
    return start + this.row.length - before
  }

  private readonly takes = (term: number): void => {
    this.row.push(term)
    const of = term << KEPT_BITS
    const { counts } = this
    counts[of + TIMES]!++
    if (counts[of + LAST] === this.documents) return
    counts[of + LAST] = this.documents
    counts[of + DOCUMENTS]!++
  }

  /** The number of a folded word. */
  private termOf(folded: string): number {
    const known = this.folded.get(folded)
    if (known !== undefined) return known
    const term = this.terms.length
    this.terms.push(folded)
    this.folded.set(folded, term)
    if (this.terms.length << KEPT_BITS > this.counts.length) {
      const counts = new Int32Array(2 * this.counts.length)
      counts.set(this.counts)
      this.counts = counts
    }
    this.counts[(term << KEPT_BITS) + LAST] = -1
    return term
  }

  finish(): WordParts {
    // Number the terms in alphabetical order, so that a stem is one stretch of them.
    const order = this.terms.map((_, i) => i).sort((a, b) => (this.terms[a]! < this.terms[b]! ? -1 : 1))
    const { counts, row } = this
    // Behind each term: in how many documents it stands with those before it (a pair is one term in one document).
    const termPairs = new Uint32Array(order.length + 1)
    let times = 0
    for (let now = 0; now < order.length; now++) {
      const of = order[now]! << KEPT_BITS
      const [own, documents] = [counts[of + TIMES]!, counts[of + DOCUMENTS]!]
      // From here on: where its next position goes, and its next pair.
      counts[of + TIMES] = times
      counts[of + DOCUMENTS] = termPairs[now]!
      counts[of + LAST] = -1
      times += own
      termPairs[now + 1] = termPairs[now]! + documents
    }
    const pairs = termPairs[order.length]!
    const positions = new Uint32Array(row.length)
    const pairDoc = new Uint32Array(pairs)
    const pairMask = new Uint16Array(pairs)
    const pairStart = new Uint32Array(pairs + 1)
    let at = 0
    let value = 0
    let piece = row.length ? row.piece(0) : undefined
    for (let doc = 0; doc < this.documents; doc++) {
      for (const lastValue = this.valuesSoFar.at(doc); value < lastValue; value++) {
        let position = this.starts.at(value)
        const field = 1 << (position >>> FIELD_SHIFT)
        for (const end = this.ends.at(value); at < end; at++) {
          if ((at & IN_PIECE) === 0) piece = row.piece(at)
          const of = piece![at & IN_PIECE]! << KEPT_BITS
          const place = counts[of + TIMES]!++
          positions[place] = position++
          if (counts[of + LAST] !== doc) {
            counts[of + LAST] = doc
            const pair = counts[of + DOCUMENTS]!++
            pairDoc[pair] = doc
            pairStart[pair] = place
          }
          pairMask[counts[of + DOCUMENTS]! - 1]! |= field
        }
      }
    }
    pairStart[pairs] = row.length
    return { terms: order.map((old) => this.terms[old]!), termPairs, pairDoc, pairMask, pairStart, positions }
  }
}
