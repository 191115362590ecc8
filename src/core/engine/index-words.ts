import { foldWord, tokens } from '../base'
import { FIELD_SHIFT, INDEXED_FIELDS, VALUE_GAP, type Document } from './document'
import type { WordParts } from './index-read'

const ASCII_RUNS = /^[\x20-\x7e\s]*$/
const ASCII_WORDS = /[A-Za-z0-9]+/g

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

/**
 * Takes in the words of documents in their order. Every word becomes a number in one long row, which is gone through twice:
 * to count, and to put each position at its place. No object is made for a word or a posting, which is what makes it fast
 * (see docs/design.md for the measurement).
 */
export class WordBuilder {
  // Spelling as written → number of its folded word; most words are folded once only.
  private readonly spelled = new Map<string, number>()
  private readonly folded = new Map<string, number>()
  private readonly terms: string[] = []
  private readonly row = new Row()
  // Of each value in its order: the position of its first word, and where the row stands behind its last one.
  private readonly starts = new Row()
  private readonly ends = new Row()
  /** Of each document: how many values came so far. */
  private readonly valuesSoFar = new Row()
  private documents = 0

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
    if (ASCII_RUNS.test(value)) {
      const words = value.match(ASCII_WORDS)
      if (words) for (const spelled of words) this.row.push(this.termOf(spelled))
    } else {
      for (const token of tokens(value)) this.row.push(this.termOf(token.text))
    }
    this.starts.push(((field << FIELD_SHIFT) >>> 0) + start)
    this.ends.push(this.row.length)
    return start + this.row.length - before
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

  finish(): WordParts {
    // Number the terms in alphabetical order, so that a stem is one stretch of them.
    const order = this.terms.map((_, i) => i).sort((a, b) => (this.terms[a]! < this.terms[b]! ? -1 : 1))
    const rank = new Uint32Array(order.length)
    order.forEach((old, now) => (rank[old] = now))
    const terms = order.map((old) => this.terms[old]!)

    // Behind each term: how many positions it has, and in how many documents it stands (a pair is one term in one document).
    const cursor = new Uint32Array(terms.length + 1)
    const termPairs = new Uint32Array(terms.length + 1)
    const lastDoc = new Int32Array(terms.length).fill(-1)
    this.walk((old, _position, doc) => {
      const term = rank[old]!
      cursor[term + 1]!++
      if (lastDoc[term] === doc) return
      lastDoc[term] = doc
      termPairs[term + 1]!++
    })
    for (let t = 0; t < terms.length; t++) {
      cursor[t + 1]! += cursor[t]!
      termPairs[t + 1]! += termPairs[t]!
    }
    const pairs = termPairs[terms.length]!
    const positions = new Uint32Array(this.row.length)
    const pairDoc = new Uint32Array(pairs)
    const pairMask = new Uint16Array(pairs)
    const pairStart = new Uint32Array(pairs + 1)
    const nextPair = termPairs.slice()
    lastDoc.fill(-1)
    this.walk((old, position, doc) => {
      const term = rank[old]!
      const at = cursor[term]!++
      positions[at] = position
      if (lastDoc[term] !== doc) {
        lastDoc[term] = doc
        const pair = nextPair[term]!++
        pairDoc[pair] = doc
        pairStart[pair] = at
      }
      pairMask[nextPair[term]! - 1]! |= 1 << (position >>> FIELD_SHIFT)
    })
    pairStart[pairs] = this.row.length
    return { terms, termPairs, pairDoc, pairMask, pairStart, positions }
  }

  /** Every word taken in, in its order: its number, its position and its document. */
  private walk(take: (word: number, position: number, doc: number) => void): void {
    let at = 0
    let value = 0
    let piece = this.row.piece(0)
    for (let doc = 0; doc < this.documents; doc++) {
      const lastValue = this.valuesSoFar.at(doc)
      for (; value < lastValue; value++) {
        let position = this.starts.at(value)
        for (const end = this.ends.at(value); at < end; at++) {
          if ((at & IN_PIECE) === 0) piece = this.row.piece(at)
          take(piece[at & IN_PIECE]!, position++, doc)
        }
      }
    }
  }
}
