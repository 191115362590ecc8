import { LIMIT_KINDS, TEXT_FIELDS, type Field, type LimitKind } from '../query'
import type { Profile, Reach } from './schema'

/** How mixed operators are read, as people say it; the order is that in which they are offered. */
export const BINDINGS = {
  'NOT, then AND, then OR': [['not'], ['and'], ['or']],
  'from left to right': [['and', 'or', 'not']],
  'OR before AND': [['not'], ['or'], ['and']],
  'NOT, then AND and OR alike': [['not'], ['and', 'or']],
  'AND and NOT alike, then OR': [['and', 'not'], ['or']],
} as const satisfies Record<string, readonly (readonly ('and' | 'or' | 'not')[])[]>
export type BindingName = keyof typeof BINDINGS

/** Fields and sets of fields that can be described, in the order in which they are asked. */
export const DESCRIBED_FIELDS: readonly (readonly Field[])[] = [
  ['title'],
  TEXT_FIELDS,
  ['title', 'abstract'],
  ['abstract'],
  ['keywords'],
  ['subject'],
  ['author'],
  ['journal'],
  ['place'],
  ['test'],
  ['identifier'],
  ['fulltext'],
  ['level'],
  ['affiliation'],
  ['number'],
  ['notes'],
]

/** What can join a row of a form to those above it. */
export const ROW_JOINS = ['and', 'or', 'not'] as const
export type RowJoin = (typeof ROW_JOINS)[number]

/** A profile as it is typed: every part a text, empty where there is none. What the form does not show is in `rest`. */
export interface ProfileDraft {
  id: string
  name: string
  platform: string
  coverage: string
  /** Where its help stands. */
  help: string
  and: string
  or: string
  not: string
  capitals: boolean
  bracketOpen: string
  bracketClose: string
  binding: BindingName | 'another'
  sideBySide: Profile['sideBySide']
  quoteOpen: string
  quoteClose: string
  quotesExact: boolean
  quotesSigns: boolean
  stemming: Profile['stemming']
  any: string
  one: string
  upTo: string
  left: boolean
  inside: boolean
  shortestStem: string
  mostForms: string
  nearEither: string
  nearOrdered: string
  nearCounts: 'between' | 'steps'
  nearMost: string
  /** By the fields joined with a comma: "title,abstract,keywords". */
  fields: Record<string, string>
  /** How far all codes reach; `each` where they differ. */
  reach: Reach | 'each'
  /** How far each reaches, where they differ, by its fields; those that are missing reach as is usual. */
  reaches: Record<string, Reach>
  together: string
  stopWords: string
  /** Parted by commas. */
  lineAlso: string
  searchedByDefault: Field[]
  heading: string
  headingBelow: string
  headingMain: string
  headingBelowMain: string
  code: string
  codeBelow: string
  line: string
  linesAny: string
  linesAll: string
  linesRange: string
  linesSeparator: string
  linesKept: 'always' | 'session' | 'never'
  /** `values`: what ours are called there, "article = Journal paper", parted by semicolons. */
  limits: Record<LimitKind, { form: string; onScreen: string; standIn: string; values: string }>
  /** Rows of a form, one a line: the fields, a colon, what the row is called there; `any` is the usual ones. */
  rows: string
  rowJoins: RowJoin[]
  rowsMost: string
  longestQuery: string
  shown: string
  exported: string
  rest: Partial<Profile>
}

const shown = (value: number | undefined): string => (value === undefined ? '' : String(value))

/** A profile laid out for typing. */
export function draftOf(p: Profile): ProfileDraft {
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)
  const binding = (Object.keys(BINDINGS) as BindingName[]).find((name) =>
    same(BINDINGS[name], p.operators.binding),
  )
  const reaches = new Set(p.fields.map((f) => f.reach ?? 'unit'))
  return {
    id: p.id,
    name: p.name,
    platform: p.platform ?? '',
    coverage: p.coverage ?? '',
    help: p.help ?? '',
    and: p.operators.and.join(', '),
    or: p.operators.or.join(', '),
    not: (p.operators.not ?? []).join(', '),
    capitals: p.operators.capitals,
    bracketOpen: p.brackets.open,
    bracketClose: p.brackets.close,
    binding: binding ?? 'another',
    sideBySide: p.sideBySide,
    quoteOpen: p.quotes.open,
    quoteClose: p.quotes.close,
    quotesExact: p.quotes.exact,
    quotesSigns: p.quotes.signs,
    stemming: p.stemming,
    any: p.truncation.any ?? '',
    one: p.truncation.one ?? '',
    upTo: p.truncation.upTo ?? '',
    left: p.truncation.left,
    inside: p.truncation.inside,
    shortestStem: p.truncation.shortestStem ? String(p.truncation.shortestStem) : '',
    mostForms: shown(p.truncation.mostForms),
    nearEither: p.nearness?.either ?? '',
    nearOrdered: p.nearness?.ordered ?? '',
    nearCounts: p.nearness?.counts ?? 'between',
    nearMost: shown(p.nearness?.most),
    fields: Object.fromEntries(p.fields.map((f) => [f.of.join(','), f.form])),
    searchedByDefault: [...p.any],
    reach: reaches.size > 1 ? 'each' : ([...reaches][0] ?? 'unit'),
    reaches: Object.fromEntries(p.fields.flatMap((f) => (f.reach ? [[f.of.join(','), f.reach]] : []))),
    together: p.together ?? '',
    stopWords: p.stopWords.join(', '),
    lineAlso: (p.lines?.also ?? []).join(', '),
    heading: p.headings?.plain ?? '',
    headingBelow: p.headings?.below ?? '',
    headingMain: p.headings?.main ?? '',
    headingBelowMain: p.headings?.belowMain ?? '',
    code: p.classes?.plain ?? '',
    codeBelow: p.classes?.below ?? '',
    line: p.lines?.reference ?? '',
    linesAny: p.lines?.anyOf ?? '',
    linesAll: p.lines?.allOf ?? '',
    linesRange: p.lines?.range ?? '',
    linesSeparator: p.lines?.separator ?? ', ',
    linesKept: p.lines?.kept ?? 'session',
    limits: Object.fromEntries(
      LIMIT_KINDS.map((kind) => {
        const own = p.limits[kind]
        const { form = '', onScreen = '', standIn = '', values = {} } = own ?? {}
        const called = Object.entries(values).map(([ours, theirs]) => `${ours} = ${theirs}`)
        return [kind, { form, onScreen, standIn, values: called.join('; ') }]
      }),
    ) as ProfileDraft['limits'],
    rows: (p.rows?.fields ?? []).map((f) => `${f.of.join(', ')}: ${f.name}`).join('\n'),
    rowJoins: [...(p.rows?.joins ?? ROW_JOINS)],
    rowsMost: shown(p.rows?.most),
    longestQuery: shown(p.caps.longestQuery),
    shown: shown(p.caps.shown),
    exported: shown(p.caps.exported),
    rest: p,
  }
}
