import { foldLabel, never, tokens, type Span } from '../base'
import { maskTest, numbersIn, type Expr, type Field } from '../query'
import {
  classMatches,
  DEFAULT_ANY,
  fieldMask,
  INDEXED_FIELDS,
  VALUE_GAP,
  type Document,
  type IndexedField,
} from './document'

/** A word of a record that an expression matched: in which field, which of its values, and where in that value. */
export interface Hit {
  field: IndexedField
  value: number
  at: Span
}

interface Placed {
  text: string
  field: number
  value: number
  place: number
  at: Span
}

interface Stretch {
  first: number
  last: number
}

export interface ScanOptions {
  headings?: (label: string, below: boolean) => readonly string[] | undefined
  any?: readonly Field[]
  /** Does a word of the query mean this folded word? Where absent, words are compared by their signs. */
  means?: (word: string, inPhrase: boolean) => (folded: string) => boolean
  line?: (number: number) => boolean
}

/**
 * The plain way to search: one record, word by word, with no index. It is what the index is tested against, and it
 * tells which words matched, for marking.
 */
export class Scanned {
  private readonly words: Placed[] = []
  private readonly headings: Map<string, boolean>
  /** Places of each different word; made when a word is first looked for. */
  private byText: Map<string, number[]> | undefined

  constructor(
    private readonly document: Document,
    private readonly options: ScanOptions = {},
  ) {
    INDEXED_FIELDS.forEach((name, field) => {
      let place = 0
      document.fields[name]?.forEach((text, value) => {
        for (const token of tokens(text)) this.words.push({ ...token, field, value, place: place++ })
        place += VALUE_GAP
      })
    })
    this.headings = new Map()
    for (const h of document.headings) {
      const key = foldLabel(h.label)
      this.headings.set(key, h.main || (this.headings.get(key) ?? false))
    }
  }

  matches(e: Expr): boolean {
    return this.test(e, fieldMask(['any'], this.options.any ?? DEFAULT_ANY))
  }

  /** The words that make the record match, leaving out what stands behind NOT; in reading order, each once. */
  hits(e: Expr): Hit[] {
    const found = new Set<number>()
    this.collect(e, fieldMask(['any'], this.options.any ?? DEFAULT_ANY), found)
    return [...found]
      .sort((a, b) => a - b)
      .map((i) => {
        const w = this.words[i]!
        return { field: INDEXED_FIELDS[w.field]!, value: w.value, at: w.at }
      })
  }

  private collect(e: Expr, mask: number, found: Set<number>): void {
    const take = (stretches: Stretch[]): void => {
      for (const s of stretches) for (let i = s.first; i <= s.last; i++) found.add(i)
    }
    switch (e.kind) {
      case 'word':
      case 'phrase':
        return take(this.stretches(e, mask))
      case 'and':
      case 'or':
        return e.parts.forEach((p) => this.collect(p, mask, found))
      case 'not':
        return this.collect(e.parts[0]!, mask, found)
      case 'near':
        for (const [a, b] of this.pairs(e, mask)) take([a, b])
        return
      case 'fields':
        return this.collect(e.of, fieldMask(e.fields, this.options.any ?? DEFAULT_ANY), found)
      default:
        return
    }
  }

  private test(e: Expr, mask: number): boolean {
    switch (e.kind) {
      case 'word':
      case 'phrase':
        return this.stretches(e, mask).length > 0
      case 'and':
        return e.parts.every((p) => this.test(p, mask))
      case 'or':
        return e.parts.some((p) => this.test(p, mask))
      case 'not':
        return e.parts.every((p, i) => this.test(p, mask) === (i === 0))
      case 'near':
        return this.pairs(e, mask).length > 0
      case 'fields':
        return this.test(e.of, fieldMask(e.fields, this.options.any ?? DEFAULT_ANY))
      case 'heading': {
        const labels = this.options.headings
          ? (this.options.headings(e.label, e.below) ?? [])
          : [foldLabel(e.label)]
        return labels.some((l) => this.headings.has(l) && (!e.main || this.headings.get(l)))
      }
      case 'class':
        return this.document.classes.some((c) => classMatches(c, e.code, e.below))
      case 'line':
        return this.options.line?.(e.number) ?? false
      case 'lines': {
        const numbers = numbersIn(e.ranges)
        const test = (n: number): boolean => this.options.line?.(n) ?? false
        return e.mode === 'any' ? numbers.some(test) : numbers.every(test)
      }
      default:
        return never(e)
    }
  }

  private stretches(e: Expr, mask: number): Stretch[] {
    if (e.kind === 'or') return e.parts.flatMap((p) => this.stretches(p, mask))
    if (e.kind !== 'word' && e.kind !== 'phrase') return []
    const asked = e.kind === 'word' ? [e.text] : e.words
    const means = this.options.means ?? ((w: string) => maskTest(w))
    const [opening = '', ...others] = asked
    const starts = this.placesOf(means(opening, e.kind === 'phrase'))
    if (!starts.length) return []
    const rest = others.map((w) => means(w, e.kind === 'phrase'))
    const found: Stretch[] = []
    for (const i of starts) {
      const start = this.words[i]!
      if (!((1 << start.field) & mask) || i + rest.length >= this.words.length) continue
      const fits = rest.every((test, k) => {
        const w = this.words[i + k + 1]!
        return (
          w.field === start.field &&
          w.value === start.value &&
          w.place === start.place + k + 1 &&
          test(w.text)
        )
      })
      if (fits) found.push({ first: i, last: i + rest.length })
    }
    return found
  }

  /** Where words stand that pass a test, in reading order: each different word of the record is tested once. */
  private placesOf(test: (folded: string) => boolean): number[] {
    if (!this.byText) {
      this.byText = new Map()
      for (const [i, { text }] of this.words.entries()) {
        const known = this.byText.get(text)
        if (known) known.push(i)
        else this.byText.set(text, [i])
      }
    }
    const lists: number[][] = []
    for (const [text, places] of this.byText) if (test(text)) lists.push(places)
    const [only] = lists
    return lists.length === 1 ? only! : lists.flat().sort((a, b) => a - b)
  }

  private pairs(e: Expr & { kind: 'near' }, mask: number): [Stretch, Stretch][] {
    const left = this.stretches(e.left, mask)
    const right = this.stretches(e.right, mask)
    const close = (a: Stretch, b: Stretch): boolean => {
      const x = this.words[a.last]!
      const y = this.words[b.first]!
      return (
        x.field === y.field && x.value === y.value && y.place > x.place && y.place - x.place - 1 <= e.distance
      )
    }
    return left.flatMap((a) =>
      right.filter((b) => close(a, b) || (!e.ordered && close(b, a))).map((b): [Stretch, Stretch] => [a, b]),
    )
  }
}
