import { listed } from '../base'
import { adapt, spelled, type Profile } from '../profile'
import { children, parse, print, referredLines, walk, withoutPlaces, type Expr, type Field } from '../query'
import type { Line } from '../review'

/** What the lines of one source searched with, as the source was really asked. */
export interface SearchedWith {
  headings: boolean
  codes: boolean
  /** The fields of the words, each set with the numbers of its lines; the set of most lines first. */
  fields: { fields: Fields; lines: number[] }[]
  /** What a NOT took away, in plain notation, each once. */
  leftOut: string[]
  /** Nearness was asked for and the source has none: AND stood in its place. */
  nearnessLost: boolean
}
/** Undefined: no field was named, or the source has none of that name, so its usual ones were searched. */
type Fields = readonly Field[] | undefined

const FIELD_WORDS: Record<Field, string> = {
  title: 'title',
  abstract: 'abstract',
  keywords: 'keywords',
  subject: 'subject headings',
  author: 'author',
  journal: 'journal',
  place: 'place studied',
  test: 'tests',
  identifier: 'identifiers',
  fulltext: 'full text',
  level: 'level',
  affiliation: 'affiliation',
  number: 'standard numbers',
  notes: 'notes on contents',
  text: 'title, abstract and keywords',
  any: 'all usual fields',
}
const WORD_KINDS: ReadonlySet<Expr['kind']> = new Set(['word', 'phrase', 'near'])

/** The sets of fields that stand around the words of an expression, groups spelled out. */
function* fieldsOfWords(e: Expr, around: Fields): Generator<Fields> {
  if (WORD_KINDS.has(e.kind)) yield around
  else
    for (const part of children(e))
      yield* fieldsOfWords(part, e.kind === 'fields' ? spelled(e.fields) : around)
}

/**
 * Reads from lines what their source was asked with. Lines that cannot be read and searches without text say nothing;
 * without a profile the lines are taken as they are written.
 */
export function searchedWith(
  lines: readonly { line: Line; number: number }[],
  profile: Profile | undefined,
  /** All lines that they may refer to, in their places. */
  all: readonly Line[] = lines.map((l) => l.line),
): SearchedWith {
  const found: SearchedWith = { headings: false, codes: false, fields: [], leftOut: [], nearnessLost: false }
  const bySet = new Map<string, { fields: Fields; lines: number[] }>()
  for (const { line, number } of lines) {
    const said = line.described === undefined ? parse(line.text).tree : undefined
    if (!said) continue
    const tree = profile ? adapt(said, profile).tree : said
    const kinds = [...walk(tree)]
    const near = (e: Expr): number => [...walk(e)].filter((x) => x.kind === 'near').length
    found.nearnessLost ||= near(said) > near(tree)
    found.headings ||= kinds.some((e) => e.kind === 'heading')
    found.codes ||= kinds.some((e) => e.kind === 'class')
    for (const e of kinds)
      if (e.kind === 'not') found.leftOut.push(...e.parts.slice(1).map((p) => asWritten(p, all)))
    const sets = [...fieldsOfWords(tree, undefined)]
    if (!sets.length) continue
    const union: Fields = sets.some((s) => !s) ? undefined : [...new Set(sets.flatMap((s) => s ?? []))]
    const key = union ? [...union].sort().join() : ''
    const set = bySet.get(key)
    if (set) set.lines.push(number)
    else bySet.set(key, { fields: union, lines: [number] })
  }
  found.fields = [...bySet.values()].sort((a, b) => b.lines.length - a.lines.length)
  found.leftOut = [...new Set(found.leftOut)]
  return found
}

/** A part in plain notation; one that is another line as that is written, or by its number where that is built of others. */
function asWritten(e: Expr, lines: readonly Line[]): string {
  if (e.kind !== 'line') return print(withoutPlaces(e)).replace(/#(?=\d)/g, 'line ')
  const { text = '' } = lines[e.number - 1] ?? {}
  const { tree } = parse(text)
  return tree && !referredLines(tree).length ? text : `line ${e.number}`
}

/** "title, abstract and keywords", "the title alone", "all fields that it searches by default (…)". */
function fieldWords(fields: Fields, profile: Profile | undefined): string {
  const [only] = fields ?? []
  if (fields && fields.length === 1) return `the ${FIELD_WORDS[only!]} alone`
  if (fields) return listed(fields.map((f) => FIELD_WORDS[f]))
  const usual = profile?.any.map((f) => FIELD_WORDS[f])
  return `all fields that it searches by default${usual ? ` (${listed(usual)})` : ''}`
}

/** Where the words were looked for, as a sentence has it; lines that looked elsewhere are named. Empty for no words. */
export function fieldsInWords({ fields }: SearchedWith, profile: Profile | undefined): string {
  const [most, ...others] = fields
  if (!most) return ''
  const elsewhere = others.map(
    (o) =>
      `in ${o.lines.length === 1 ? 'line' : 'lines'} ${listed(o.lines.map(String))} in ${fieldWords(o.fields, profile)}`,
  )
  return `${fieldWords(most.fields, profile)}${elsewhere.length ? `; ${listed(elsewhere)}` : ''}`
}
