import type { Span } from '../base'
import { looksLikeOperator } from './spelling'

/** The fields of plain notation. `text` and `any` are groups; the rest are fields of a record. */
export const FIELDS = [
  'title',
  'abstract',
  'keywords',
  'subject',
  'author',
  'journal',
  'place',
  'test',
  'identifier',
  'fulltext',
  'level',
  'affiliation',
  'number',
  'notes',
  'text',
  'any',
] as const
export type Field = (typeof FIELDS)[number]

/** Fields that a group stands for everywhere; what `any` means is for the source to say. */
export const TEXT_FIELDS = ['title', 'abstract', 'keywords'] as const satisfies readonly Field[]

/** Fields with the group `text` spelled out, in order; a field may stand twice. Empty stays empty. */
export const textSpelledOut = (fields: readonly Field[]): Field[] =>
  fields.flatMap((f): readonly Field[] => (f === 'text' ? TEXT_FIELDS : [f]))

interface Placed {
  /** Where this part stood in the text it was read from; absent on trees that were never text. */
  at?: Span
}

/** A word as typed, signs included: `*` any ending, `*n` up to n more characters, `?` one character. */
export interface Word extends Placed {
  kind: 'word'
  text: string
}
/** Words that must stand side by side in this order; each may hold signs as a word may. */
export interface Phrase extends Placed {
  kind: 'phrase'
  words: string[]
  /**
   * Read from words side by side without quotes, by a source that takes them as a phrase; it may still stem them. In
   * plain notation it has a tilde before it: `~"room noise"`.
   */
  loose?: boolean
  /**
   * What stood between the quotes, or the run with its hyphens, where that is more than its words: `Osei, M.`,
   * `sound-field`, `10.5555/x.1`. It is sent so where a source can take it; what a phrase means is its words alone.
   */
  typed?: string
}
export interface And extends Placed {
  kind: 'and'
  parts: Expr[]
}
export interface Or extends Placed {
  kind: 'or'
  parts: Expr[]
}
/** The first part, less every other part. */
export interface Not extends Placed {
  kind: 'not'
  parts: Expr[]
}
/** At most `distance` words between the operands, in one field; `ordered` keeps left before right. */
export interface Near extends Placed {
  kind: 'near'
  ordered: boolean
  distance: number
  left: Expr
  right: Expr
}
export interface InFields extends Placed {
  kind: 'fields'
  fields: Field[]
  of: Expr
}
export interface HeadingRef extends Placed {
  kind: 'heading'
  label: string
  below: boolean
  main: boolean
}
export interface ClassRef extends Placed {
  kind: 'class'
  code: string
  below: boolean
}
export interface LineRef extends Placed {
  kind: 'line'
  number: number
}
/** Lines joined by their numbers: any of them, or all of them. Ranges include both ends. */
export interface Lines extends Placed {
  kind: 'lines'
  mode: 'any' | 'all'
  ranges: { from: number; to: number }[]
}

export type Expr = Word | Phrase | And | Or | Not | Near | InFields | HeadingRef | ClassRef | LineRef | Lines
export type Kind = Expr['kind']

export const word = (text: string): Word => ({ kind: 'word', text })
/** A word as it was read; one that is spelled like an operator is kept as a phrase of one word. */
export const readWord = (text: string, at: Span): Word | Phrase =>
  looksLikeOperator(text) ? { kind: 'phrase', words: [text], at } : { kind: 'word', text, at }
export const phrase = (...words: string[]): Phrase => ({ kind: 'phrase', words })
export const inFields = (fields: Field[], of: Expr): InFields => ({ kind: 'fields', fields, of })
export const heading = (label: string, below = false, main = false): HeadingRef => ({
  kind: 'heading',
  label,
  below,
  main,
})
export const lineRef = (number: number): LineRef => ({ kind: 'line', number })

/** Parts joined by an operator; one part stands for itself. */
export function joined(kind: 'and' | 'or' | 'not', parts: Expr[]): Expr {
  const [only] = parts
  if (!only) throw new Error(`"${kind}" needs at least one part`)
  return parts.length === 1 ? only : { kind, parts }
}
/** All of the parts; one part stands for itself. */
export const and = (...parts: Expr[]): Expr => joined('and', parts)
export const or = (...parts: Expr[]): Expr => joined('or', parts)
/** The first part less the others. */
export const not = (...parts: Expr[]): Expr => joined('not', parts)
export const near = (distance: number, left: Expr, right: Expr, ordered = false): Near => ({
  kind: 'near',
  ordered,
  distance,
  left,
  right,
})

/** The parts directly inside an expression, in reading order. */
export function children(e: Expr): readonly Expr[] {
  switch (e.kind) {
    case 'and':
    case 'or':
    case 'not':
      return e.parts
    case 'near':
      return [e.left, e.right]
    case 'fields':
      return [e.of]
    default:
      return []
  }
}

/** The same expression with its direct parts replaced; keeps identity where nothing changed. */
export function mapChildren(e: Expr, change: (part: Expr) => Expr): Expr {
  switch (e.kind) {
    case 'and':
    case 'or':
    case 'not': {
      const parts = e.parts.map(change)
      return parts.every((p, i) => p === e.parts[i]) ? e : { ...e, parts }
    }
    case 'near': {
      const left = change(e.left)
      const right = change(e.right)
      return left === e.left && right === e.right ? e : { ...e, left, right }
    }
    case 'fields': {
      const of = change(e.of)
      return of === e.of ? e : { ...e, of }
    }
    default:
      return e
  }
}

/** Every expression in the tree, the whole first. */
export function* walk(e: Expr): Generator<Expr> {
  yield e
  for (const part of children(e)) yield* walk(part)
}

/** The tree without its places, for comparing and storing. */
export function withoutPlaces(e: Expr): Expr {
  const mapped = mapChildren(e, withoutPlaces)
  if (!('at' in mapped)) return mapped
  const { at: _at, ...rest } = mapped
  return rest as Expr
}

/** Every number of a list of ranges, in order of mention. */
export const numbersIn = (ranges: Lines['ranges']): number[] =>
  ranges.flatMap((r) => Array.from({ length: r.to - r.from + 1 }, (_, i) => r.from + i))

/** The line numbers an expression refers to, each once, in order of first mention; ranges are spelled out. */
export function referredLines(e: Expr): number[] {
  const numbers = new Set<number>()
  for (const part of walk(e)) {
    if (part.kind === 'line') numbers.add(part.number)
    if (part.kind === 'lines')
      for (const r of part.ranges)
        for (let n = r.from; n <= Math.min(r.to, r.from + MOST_IN_RANGE); n++) numbers.add(n)
  }
  return [...numbers]
}

/** A range longer than this is refused by the parser. */
export const MOST_IN_RANGE = 9_999

/** The same expression with the fields of a group named by the group: title, abstract and keywords together are `text`. */
export function byGroup(e: Expr): Expr {
  const inner = mapChildren(e, byGroup)
  if (inner.kind !== 'fields' || inner.fields.length !== TEXT_FIELDS.length) return inner
  return TEXT_FIELDS.every((f) => inner.fields.includes(f)) ? { ...inner, fields: ['text'] } : inner
}
