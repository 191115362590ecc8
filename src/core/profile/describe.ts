import { LIMIT_KINDS } from '../query'
import { BINDINGS, type BindingName, type ProfileDraft } from './draft'
import type { Reach } from './schema'

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

/** What was typed as a profile to be checked: parts that were left empty are left out. What the form does not show stays. */
export function describedProfile(d: ProfileDraft): unknown {
  const { rest } = d
  const nearness = d.nearEither || d.nearOrdered
  const limits = Object.fromEntries(
    LIMIT_KINDS.flatMap((kind) => {
      const { form, onScreen, standIn, values } = d.limits[kind]
      if (!form && !onScreen && !standIn && !values.trim()) return []
      const as = rest.limits?.[kind]?.as
      const own = {
        ...given('form', form),
        ...given('onScreen', onScreen),
        ...given('standIn', standIn),
        ...given('as', standIn ? as : undefined),
        ...given('values', calledThere(values)),
      }
      return [[kind, own]]
    }),
  )
  return {
    ...rest,
    id: d.id || idOf(d.name),
    name: d.name.trim(),
    // Nothing reads them: a file that has them keeps them.
    kind: rest.kind ?? 'other',
    habits: rest.habits ?? [],
    ...section('help', d.help.trim()),
    ...section('platform', d.platform.trim()),
    ...section('coverage', d.coverage.trim()),
    operators: {
      and: words(d.and),
      or: words(d.or),
      ...(words(d.not).length ? { not: words(d.not) } : {}),
      capitals: d.capitals,
      binding: d.binding === 'another' ? rest.operators?.binding : withoutMissing(d),
    },
    brackets: { open: d.bracketOpen, close: d.bracketClose },
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
      ...given('mostForms', whole(d.mostForms)),
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
    ...section('together', d.together.trim() && d.together),
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
          ...(words(d.lineAlso).length ? { also: words(d.lineAlso) } : {}),
          separator: d.linesSeparator || ', ',
          kept: d.linesKept,
        }
      : undefined,
    limits,
    rows: d.rows.trim()
      ? { fields: rowsTyped(d.rows), joins: d.rowJoins, most: whole(d.rowsMost) }
      : undefined,
    caps: {
      ...given('longestQuery', whole(d.longestQuery)),
      ...given('linesJoined', rest.caps?.linesJoined),
      ...given('shown', whole(d.shown)),
      ...given('exported', whole(d.exported)),
      ...given('analysed', rest.caps?.analysed),
    },
  }
}

/** Rows as they were typed: fields, a colon, a name; without a colon all of it names a row for the usual fields. */
const rowsTyped = (text: string): { of: string[]; name: string }[] =>
  text
    .split('\n')
    .filter((row) => row.trim())
    .map((row) => {
      const [, of, name] = /^([^:]*):(.*)$/.exec(row) ?? [row, 'any', row]
      return { of: words(of!), name: name!.trim() }
    })

/** "article = Journal paper; review = Review paper" by what ours are; undefined where nothing was typed. */
function calledThere(text: string): Record<string, string> | undefined {
  const pairs = text
    .split(';')
    .map((t) => t.trim())
    .filter(Boolean)
    .map((t) => {
      const [, ours, theirs] = /^([^=]*)=(.*)$/.exec(t) ?? [t, t, '']
      return [ours!.trim(), theirs!.trim()] as const
    })
  return pairs.length ? Object.fromEntries(pairs) : undefined
}

/** How far the code of a field reaches: what all do, or what is said of each; nothing where it is what is usual. */
function reachOf(d: ProfileDraft, of: string): { reach?: Reach } {
  const reach = d.reach === 'each' ? d.reaches[of] : d.reach
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
