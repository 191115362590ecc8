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

/** A profile as it is typed: every part a text, empty where there is none. What the form does not show is in `rest`. */
export interface ProfileDraft {
  id: string
  name: string
  platform: string
  coverage: string
  kind: Profile['kind']
  and: string
  or: string
  not: string
  capitals: boolean
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
  nearEither: string
  nearOrdered: string
  nearCounts: 'between' | 'steps'
  nearMost: string
  /** By the fields joined with a comma: "title,abstract,keywords". */
  fields: Record<string, string>
  /** How far all codes reach; `each` where they differ, as the file of the description says. */
  reach: Reach | 'each'
  together: string
  stopWords: string
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
  limits: Record<LimitKind, { form: string; onScreen: string; standIn: string }>
  longestQuery: string
  linesJoined: string
  shown: string
  exported: string
  analysed: string
  habits: string
  rest: Partial<Profile>
}

const words = (text: string): string[] =>
  text
    .split(/\s*,\s*/)
    .map((t) => t.trim())
    .filter(Boolean)
/** A number as typed; what is none stays a text, for the check to name. */
const whole = (text: string): number | string | undefined => {
  const t = text.trim()
  return /^\d+$/.test(t) ? Number(t) : t || undefined
}
const given = <K extends string, T>(key: K, value: T | undefined | ''): Partial<Record<K, T>> =>
  value === undefined || value === '' ? {} : ({ [key]: value } as Partial<Record<K, T>>)
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
    kind: p.kind,
    and: p.operators.and.join(', '),
    or: p.operators.or.join(', '),
    not: (p.operators.not ?? []).join(', '),
    capitals: p.operators.capitals,
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
    nearEither: p.nearness?.either ?? '',
    nearOrdered: p.nearness?.ordered ?? '',
    nearCounts: p.nearness?.counts ?? 'between',
    nearMost: shown(p.nearness?.most),
    fields: Object.fromEntries(p.fields.map((f) => [f.of.join(','), f.form])),
    searchedByDefault: [...p.any],
    reach: reaches.size > 1 ? 'each' : ([...reaches][0] ?? 'unit'),
    together: p.together ?? '',
    stopWords: p.stopWords.join(', '),
    lineAlso: (p.lines?.also ?? []).join(' '),
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
        return [kind, { form: own?.form ?? '', onScreen: own?.onScreen ?? '', standIn: own?.standIn ?? '' }]
      }),
    ) as ProfileDraft['limits'],
    longestQuery: shown(p.caps.longestQuery),
    linesJoined: shown(p.caps.linesJoined),
    shown: shown(p.caps.shown),
    exported: shown(p.caps.exported),
    analysed: shown(p.caps.analysed),
    habits: p.habits.join('\n'),
    rest: p,
  }
}

/** What was typed as a profile to be checked: parts that were left empty are left out. What the form does not show stays. */
export function describedProfile(d: ProfileDraft): unknown {
  const { rest } = d
  const nearness = d.nearEither || d.nearOrdered
  const limits = Object.fromEntries(
    LIMIT_KINDS.flatMap((kind) => {
      const { form, onScreen, standIn } = d.limits[kind]
      if (!form && !onScreen && !standIn) return []
      const as = rest.limits?.[kind]?.as
      const own = {
        ...given('form', form),
        ...given('onScreen', onScreen),
        ...given('standIn', standIn),
        ...given('as', standIn ? as : undefined),
      }
      return [[kind, own]]
    }),
  )
  return {
    ...rest,
    id: d.id || idOf(d.name),
    name: d.name.trim(),
    kind: d.kind,
    ...section('platform', d.platform.trim()),
    ...section('coverage', d.coverage.trim()),
    operators: {
      and: words(d.and),
      or: words(d.or),
      ...(words(d.not).length ? { not: words(d.not) } : {}),
      capitals: d.capitals,
      binding: d.binding === 'another' ? rest.operators?.binding : withoutMissing(d),
    },
    sideBySide: d.sideBySide,
    quotes: {
      open: d.quoteOpen,
      close: d.quoteClose || d.quoteOpen,
      exact: d.quotesExact,
      signs: d.quotesSigns,
    },
    stemming: d.stemming,
    truncation: {
      ...given('any', d.any),
      ...given('one', d.one),
      ...given('upTo', d.upTo),
      left: d.left,
      inside: d.inside,
      shortestStem: whole(d.shortestStem) ?? 0,
      ...given('mostForms', rest.truncation?.mostForms),
    },
    nearness: nearness
      ? {
          ...given('either', d.nearEither),
          ...given('ordered', d.nearOrdered),
          counts: d.nearCounts,
          ...given('most', whole(d.nearMost)),
        }
      : undefined,
    fields: Object.entries(d.fields).flatMap(([of, form]) =>
      form ? [{ of: of.split(','), form, ...reachOf(d, of) }] : [],
    ),
    ...section('together', d.together.trim()),
    stopWords: words(d.stopWords),
    any: d.searchedByDefault,
    headings: d.heading
      ? {
          ...given('vocabulary', rest.headings?.vocabulary),
          plain: d.heading,
          ...given('below', d.headingBelow),
          ...given('main', d.headingMain),
          ...given('belowMain', d.headingBelowMain),
        }
      : undefined,
    classes: d.code ? { plain: d.code, ...given('below', d.codeBelow) } : undefined,
    lines: d.line
      ? {
          reference: d.line,
          ...given('anyOf', d.linesAny),
          ...given('allOf', d.linesAll),
          ...given('range', d.linesRange),
          ...(d.lineAlso.trim() ? { also: d.lineAlso.trim().split(/\s+/) } : {}),
          separator: d.linesSeparator || ', ',
          kept: d.linesKept,
        }
      : undefined,
    limits,
    caps: {
      ...given('longestQuery', whole(d.longestQuery)),
      ...given('linesJoined', whole(d.linesJoined)),
      ...given('shown', whole(d.shown)),
      ...given('exported', whole(d.exported)),
      ...given('analysed', whole(d.analysed)),
    },
    habits: d.habits
      .split('\n')
      .map((h) => h.trim())
      .filter(Boolean),
  }
}

/** How far the code of a field reaches: what all do, or what its file says of each; nothing where it is what is usual. */
function reachOf(d: ProfileDraft, of: string): { reach?: Reach } {
  const reach = d.reach === 'each' ? d.rest.fields?.find((f) => f.of.join(',') === of)?.reach : d.reach
  return reach && reach !== 'unit' ? { reach } : {}
}

/** A text part of its own: gone where it is empty, whatever stood there before. */
const section = (key: string, text: string): Record<string, string | undefined> => ({
  [key]: text || undefined,
})

/** The order of operators without NOT, where there is none. */
const withoutMissing = (d: ProfileDraft): string[][] =>
  BINDINGS[d.binding as BindingName]
    .map((group) => group.filter((op) => op !== 'not' || words(d.not).length > 0) as string[])
    .filter((group) => group.length)

/** A name as an identifier: small letters and hyphens. */
export const idOf = (name: string): string =>
  name
    .normalize('NFD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '') || 'database'
