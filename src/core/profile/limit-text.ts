import {
  languageCode,
  languageName,
  LIMIT_KINDS,
  limitWords,
  type Expr,
  type LimitKind,
  type LimitValue,
} from '../query'
import { inPattern, problem, type Problem } from '../base'
import { limitAs } from './limits'
import { readFrom } from './read'
import type { Profile } from './schema'

/** How a limit is set in a database: written into the query, or by hand on the screen; neither where there is none. */
export interface LimitSaid {
  text?: string
  onScreen?: string
}

/** The limit in the database's own form; what stands in for it where it is not exact. */
export function writeLimit(limit: LimitValue, profile: Profile): LimitSaid {
  const said = limitAs(limit, profile)
  const own = profile.limits[limit.kind]
  if (!said || !own) return {}
  const form = own.form ?? (said.kind === limit.kind ? undefined : profile.limits[said.kind]?.form)
  if (form === undefined) return own.onScreen ? { onScreen: own.onScreen } : {}
  const or = ` ${profile.operators.capitals ? profile.operators.or[0]!.toUpperCase() : profile.operators.or[0]!} `
  const values =
    said.kind === 'language'
      ? said.values.map((v) => called(v, said.kind, profile) ?? languageName(v))
      : 'values' in said
        ? said.values.map((v) => called(v, said.kind, profile) ?? v)
        : said.kind === 'other'
          ? [said.text]
          : []
  // With no sign behind it a value with spaces needs quotes, and several need brackets.
  const bare = form.endsWith('{values}')
  const { quotes, brackets } = profile
  const shown = bare ? values.map((v) => (/\s/.test(v) ? quotes.open + v + quotes.close : v)) : values
  const list = shown.join(or)
  const year = (value: number | undefined): string => (value === undefined ? '' : String(value))
  return {
    text: form
      .replace('{from}', said.kind === 'years' ? year(said.from) : '')
      .replace('{to}', said.kind === 'years' ? year(said.to) : '')
      .replace('{values}', bare && shown.length > 1 ? brackets.open + list + brackets.close : list),
  }
}

/** What a value of a limit is called there; undefined where nothing is said. */
const called = (value: string, kind: LimitKind, profile: Profile): string | undefined => {
  const own = Object.entries(profile.limits[kind]?.values ?? {})
  return own.find(([ours]) => ours.toLowerCase() === value.toLowerCase())?.[1]
}

/** The value of ours that is called so there; undefined where nothing is said. */
const ourValue = (theirs: string, kind: LimitKind, profile: Profile): string | undefined => {
  const own = Object.entries(profile.limits[kind]?.values ?? {})
  return own.find(([, value]) => value.toLowerCase() === theirs.toLowerCase())?.[0]
}

/** A query as it is sent, with its limits: those that are written are joined with AND, those set on the screen are named. */
export function withLimits(
  text: string,
  limits: readonly LimitValue[],
  profile: Profile,
): {
  text: string
  /** What is to be set on the screen, each with where. */
  onScreen: string[]
  /** The same apart. */
  screen: { what: string; where: string }[]
  missing: LimitKind[]
} {
  const said = limits.map((l) => ({ kind: l.kind, words: limitWords(l), ...writeLimit(l, profile) }))
  const written = said.flatMap((s) => (s.text === undefined ? [] : [s.text]))
  const { open, close } = profile.brackets
  const and = profile.operators.capitals ? profile.operators.and[0]!.toUpperCase() : profile.operators.and[0]!
  const joined = written.length ? readFrom(text, profile).tree?.kind : undefined
  const alone = joined === undefined || !['and', 'or', 'not', 'near'].includes(joined)
  return {
    text: written.length ? [alone ? text : open + text + close, ...written].join(` ${and} `) : text,
    // What is set, and where: the place alone would leave the value to be guessed.
    onScreen: said.flatMap((s) => (s.text === undefined && s.onScreen ? [`${s.words} (${s.onScreen})`] : [])),
    screen: said.flatMap((s) =>
      s.text === undefined && s.onScreen ? [{ what: s.words, where: s.onScreen }] : [],
    ),
    missing: said.flatMap((s) => (s.text === undefined && !s.onScreen ? [s.kind] : [])),
  }
}

const escaped = (text: string): string => inPattern(text).replace(/\s+/g, '\\s*')

/** The form of a limit as a pattern; its slots become groups of their names. */
function patternOf(form: string, profile: Profile): RegExp {
  const parts = form.split(/(\{from\}|\{to\}|\{values\})/)
  const source = parts
    .map((part, i) => {
      if (part === '{from}') return '(?<from>\\d{4})?'
      if (part === '{to}') return '(?<to>\\d{4})?'
      if (part !== '{values}') return escaped(part)
      const stop = (parts[i + 1] ?? '').trim().charAt(0)
      if (stop) return `(?<values>[^${escaped(stop)}\\n]{1,300})`
      const { brackets, quotes } = profile
      const within = ({ open, close }: { open: string; close: string }): string =>
        `${escaped(open)}[^${escaped(close.charAt(0))}\\n]{1,300}${escaped(close)}`
      return `(?<values>${within(brackets)}|${within(quotes)}|[^\\s()"]{1,100})`
    })
    .join('')
  const begins = /^[\p{L}\p{N}]/u.test(form) ? '(?<![\\p{L}\\p{N}])' : ''
  return new RegExp(begins + source, 'giu')
}

function valueOf(
  kind: LimitKind,
  groups: Record<string, string | undefined>,
  profile: Profile,
): LimitValue | undefined {
  const signs = profile.operators.or.map(escaped).join('|')
  const values = (groups.values ?? '')
    .split(new RegExp(`\\s*[,;|]\\s*|\\s+(?:${signs})\\s+`, 'iu'))
    .map((v) => v.replace(/^[("'“”\s]+|[)"'“”\s]+$/g, ''))
    .filter(Boolean)
    .map((v) => ourValue(v, kind, profile) ?? v)
  switch (kind) {
    case 'years': {
      const years = {
        ...(groups.from ? { from: Number(groups.from) } : {}),
        ...(groups.to ? { to: Number(groups.to) } : {}),
      }
      return 'from' in years || 'to' in years ? { kind, ...years } : undefined
    }
    case 'peer reviewed':
    case 'open access':
      return { kind }
    case 'other':
      return values.length ? { kind, text: values.join(', ') } : undefined
    case 'language':
      return values.length ? { kind, values: values.map(languageCode) } : undefined
    default:
      return values.length ? { kind, values: values.map((v) => v.toLowerCase()) } : undefined
  }
}

export interface ReadWithLimits {
  /** Undefined where nothing but limits was said, or nothing could be read. */
  tree: Expr | undefined
  limits: LimitValue[]
  problems: Problem[]
}

/**
 * Reads a query of a database with the limits that are written in it. A limit is taken out only where it holds for the
 * whole query, as the database joins it; one that stands inside an OR or behind NOT is an error that names it.
 */
export function readWithLimits(text: string, profile: Profile): ReadWithLimits {
  const found: { limit: LimitValue; text: string }[] = []
  let rest = text
  // A form without a slot may look like another with a value in it: the longer words go first.
  const forms = LIMIT_KINDS.flatMap((kind) => {
    const own = profile.limits[kind]
    return own?.form === undefined ? [] : [{ kind, form: own.form, as: own.as }]
  }).sort((a, b) => fixed(b.form) - fixed(a.form))
  for (const { kind, form, as } of forms) {
    rest = rest.replace(patternOf(form, profile), (whole, ...more) => {
      const groups = (more.find((m) => typeof m === 'object' && m !== null) ?? {}) as Record<string, string>
      const limit = as ?? valueOf(kind, groups, profile)
      if (!limit) return whole
      found.push({ limit, text: whole })
      // A word as long as what it stands for, so that places in the text stay true.
      return placeholder(found.length - 1, whole.length)
    })
  }
  if (!found.length) return { ...readFrom(text, profile), limits: [] }
  const read = readFrom(rest, profile)
  const problems = [...read.problems]
  const taken = new Set<number>()
  const take = (e: Expr): Expr | undefined => {
    const at = e.kind === 'word' ? indexOf(e.text) : undefined
    if (at !== undefined) {
      taken.add(at)
      return undefined
    }
    if (e.kind !== 'and') return e
    const parts = e.parts.flatMap((p) => take(p) ?? [])
    return parts.length > 1 ? { ...e, parts } : parts[0]
  }
  const tree = read.tree && take(read.tree)
  found.forEach(({ text: said }, i) => {
    if (!taken.has(i))
      problems.push(
        problem(
          'limit-inside',
          'error',
          `"${said}" does not hold for the whole line there: it stands inside OR or behind NOT. Put brackets round the rest, or take it out.`,
        ),
      )
  })
  return { tree, limits: found.filter((_, i) => taken.has(i)).map((f) => f.limit), problems }
}

const fixed = (form: string): number => form.replace(/\{(?:from|to|values)\}/g, '').length

const placeholder = (n: number, length: number): string => `qlimit${n}z`.padEnd(length, 'q')
const indexOf = (word: string): number | undefined => {
  const m = /^qlimit(\d+)zq*$/i.exec(word)
  return m ? Number(m[1]) : undefined
}
