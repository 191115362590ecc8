import { keptFor } from '../base'
import { MOST_WORDS_BETWEEN, type Field, type Lines } from '../query'
import { codeOf, formsOf, type Form } from './forms'
import {
  bracketed,
  formPattern,
  isLetter,
  joiner,
  LETTER,
  literal,
  NO_LETTER_BEHIND,
  nameGroup,
  stopOf,
} from './form-pattern'
import type { Profile, Reach } from './schema'
import { inTheirQuotes, signsOf } from './signs'

/** A mark of a database's syntax. `wrap` opens a field up to its closing text; `prefix` and `suffix` reach as far as told. */
export type SyntaxMark =
  | { kind: 'op'; op: 'and' | 'or' | 'not' }
  | { kind: 'near'; ordered: boolean; distance: number }
  | { kind: 'open' }
  | { kind: 'close'; text: string }
  | { kind: 'wrap'; fields: readonly Field[]; until: string }
  | { kind: 'prefix' | 'suffix'; fields: readonly Field[]; reach: Reach }
  | { kind: 'quote'; text: string; closed: boolean }
  | { kind: 'heading'; label: string; below: boolean; main: boolean }
  | { kind: 'class'; code: string; below: boolean }
  | { kind: 'line'; number: number }
  | { kind: 'lines'; mode: 'any' | 'all'; ranges: Lines['ranges'] }
  /** Looks like the code of a field, and is none that is described. */
  | { kind: 'unknown'; text: string }
  | { kind: 'text'; text: string }

export interface Found {
  readonly mark: SyntaxMark
  readonly end: number
  /** The form that was recognised; undefined for words, quotes and brackets. */
  readonly form?: Form | undefined
}
/** One rule of reading: tried at a place of the text; gives the mark and how far it reaches. */
export type Rule = (text: string, i: number) => Found | undefined

/** A rule from a pattern anchored at the place; it reads at most a bounded stretch. */
function rule(
  pattern: string,
  make: (groups: RegExpExecArray) => SyntaxMark | undefined,
  form?: Form,
  {
    first = form?.before.trim().charAt(0),
    flags = 'iy',
  }: { first?: string | undefined; flags?: string } = {},
): Rule {
  const re = new RegExp(pattern, flags)
  // Most rules cannot begin at most places: their first sign tells, long before a pattern is tried.
  const starts = first && [...new Set([first.toLowerCase(), first.toUpperCase(), first])].join('')
  return (text, i) => {
    if (starts && !starts.includes(text.charAt(i))) return undefined
    re.lastIndex = i
    const found = re.exec(text)
    const mark = found && make(found)
    return mark ? { mark, end: i + found[0].length, form } : undefined
  }
}

/** Forms with more fixed text go first, so that none hides another. */
const longestFirst = <F extends Form>(forms: readonly F[]): F[] =>
  [...forms].sort((a, b) => fixed(b) - fixed(a))
const fixed = (form: Form): number => form.before.length + form.after.length

const nameIn = (groups: RegExpExecArray): string => (groups[1] ?? groups[2] ?? '').trim()

function namedRules(profile: Profile): Rule[] {
  const stop = stopOf(profile)
  const forms = formsOf(profile).all.filter((f) => f.means.role === 'heading' || f.means.role === 'class')
  return longestFirst(forms).map((form) =>
    rule(
      formPattern(form, nameGroup(form, profile, stop)),
      (m) => {
        const name = nameIn(m)
        if (!name) return undefined
        return form.means.role === 'heading'
          ? { kind: 'heading', label: name, below: form.means.below, main: form.means.main }
          : { kind: 'class', code: name, below: form.means.role === 'class' && form.means.below }
      },
      form,
    ),
  )
}

/** What may not follow a number, or it would be part of a word. */
const notInWord = (profile: Profile): string => {
  const signs = signsOf(profile).map((s) => s.pattern)
  return `(?!${[LETTER, ...signs, joiner + LETTER].join('|')})`
}

function lineRules(profile: Profile): Rule[] {
  const { lines } = profile
  if (!lines) return []
  const { all } = formsOf(profile)
  const references = all.filter((f) => f.means.role === 'line')
  const numbered = (group: string): string => `(?:${references.map((f) => formPattern(f, group)).join('|')})`
  const number = numbered('\\d{1,6}')
  const [start = '', between = '-', end = ''] = (lines.range ?? '{from}-{to}').split(/\{from\}|\{to\}/)
  // The second number of a range may stand without its sign: "#1-3".
  const range = (from: string, to: string): string =>
    [literal(start), from, literal(between), to, literal(end)].filter(Boolean).join('\\s*')
  const item = `(?:${range(number, `(?:${number}|\\d{1,6})`)}|${number})`
  const trimmed = lines.separator.trim()
  const separator = trimmed ? `\\s*${literal(trimmed)}\\s*` : '\\s+'
  const list = `(${item}(?:${separator}${item})*)`
  const items = new RegExp(item, 'gi')
  const whole = new RegExp(`^${list}$`, 'i')
  const rangesOf = (text: string): Lines['ranges'] => {
    if (!whole.test(text.trim())) return []
    const ranges = [...text.matchAll(items)].map(([one]) => {
      const numbers = (one.match(/\d+/g) ?? []).map(Number)
      return { from: numbers[0]!, to: numbers[1] ?? numbers[0]! }
    })
    return ranges.every((r) => r.from >= 1 && r.to >= r.from && r.to - r.from < 10_000) ? ranges : []
  }
  const lists = longestFirst(all.filter((f) => f.means.role === 'lines'))
  const listed = (form: Form, group: string): Rule =>
    rule(
      formPattern(form, group),
      (m) =>
        form.means.role === 'lines'
          ? { kind: 'lines', mode: form.means.mode, ranges: rangesOf(m[1]!) }
          : undefined,
      form,
    )
  return [
    ...lists.map((form) => listed(form, list + (form.after ? '' : notInWord(profile)))),
    // A list that holds something else is no list of words: it is read as one, and named as broken.
    ...lists.filter(bracketed).map((form) => listed(form, '([^\\n]{1,200}?)')),
    ...references.map((form) =>
      rule(
        formPattern(form, '(\\d{1,6})') +
          (isLetter(form.after.slice(-1)) || !form.after ? notInWord(profile) : ''),
        (m) => ({ kind: 'line', number: Number(m[1]) }),
        form,
      ),
    ),
  ]
}

function nearRules(profile: Profile): Rule[] {
  const steps = profile.nearness?.counts === 'steps' ? 1 : 0
  return longestFirst(formsOf(profile).all.filter((f) => f.means.role === 'near')).map((form) =>
    rule(
      `${formPattern(form, '(\\d{1,4})')}${NO_LETTER_BEHIND}`,
      (m) => ({
        kind: 'near',
        ordered: form.means.role === 'near' && form.means.ordered,
        distance: Math.min(Math.max(0, Number(m[1]) - steps), MOST_WORDS_BETWEEN),
      }),
      form,
    ),
  )
}

function operatorRules(profile: Profile): Rule[] {
  return formsOf(profile).all.flatMap((form) =>
    form.means.role === 'op'
      ? [
          rule(
            literal(form.before),
            () => (form.means.role === 'op' ? { kind: 'op', op: form.means.op } : undefined),
            form,
            { flags: profile.operators.capitals ? 'y' : 'iy' },
          ),
        ]
      : [],
  )
}

/** Fields, those with several codes at one place, and what looks like a code and is none. */
function fieldRules(profile: Profile): { own: Rule[]; several: Rule[]; unknown: Rule[] } {
  const { fields } = formsOf(profile)
  const marked = (form: Form, of: readonly Field[], reach: Reach): SyntaxMark =>
    form.before.trim() && form.after.trim()
      ? { kind: 'wrap', fields: of, until: form.after.trim() }
      : { kind: form.before.trim() ? 'prefix' : 'suffix', fields: of, reach }
  const own = longestFirst(fields).map((form) =>
    rule(
      literal(form.before.trim() || form.after.trim()),
      () => marked(form, form.means.fields, form.means.reach),
      form,
      { first: (form.before.trim() || form.after.trim()).charAt(0) },
    ),
  )
  const shapes = new Map<string, (typeof fields)[number][]>()
  for (const form of fields) {
    const coded = codeOf(form)
    if (!coded) continue
    const key = `${form.before.trim() ? 'before' : 'behind'}\n${coded.start}\n${coded.end}`
    shapes.set(key, [...(shapes.get(key) ?? []), form])
  }
  const others = [...shapes.values()].map((forms): { several: Rule[]; unknown: Rule[] } => {
    const [first] = forms
    const { start, end } = codeOf(first!)!
    const codes = new Map(forms.map((f) => [codeOf(f)!.code.toLowerCase(), f]))
    const known = `(?:${[...codes.keys()]
      .sort((a, b) => b.length - a.length)
      .map((c) => literal(c))
      .join('|')})`
    const sep = profile.together === undefined ? undefined : `\\s*${literal(profile.together.trim())}\\s*`
    const several = sep
      ? [
          rule(
            `${literal(start)}(${known}(?:${sep}${known})+)${literal(end)}`,
            (m) => {
              const found = m[1]!.split(new RegExp(sep, 'i')).flatMap((c) => codes.get(c.toLowerCase()) ?? [])
              const of = [...new Set(found.flatMap((f) => f.means.fields))]
              return marked(first!, of, first!.means.reach)
            },
            first,
            { first: start.charAt(0) },
          ),
        ]
      : []
    // Where the shape is made of joiners alone ("noise-zz") any compound word would look like one.
    const shown = (start + end).replace(/[\s'’.\-–/+]/g, '')
    const unknown = shown
      ? [
          rule(
            `${literal(start)}(${LETTER}{1,20})${literal(end)}`,
            (m) => ({ kind: 'unknown', text: m[0] }),
            undefined,
            { first: start.charAt(0) },
          ),
        ]
      : []
    return { several, unknown }
  })
  return { own, several: others.flatMap((o) => o.several), unknown: others.flatMap((o) => o.unknown) }
}

function quoteRule(profile: Profile): Rule {
  const { open, close } = profile.quotes
  return (text, i) => {
    if (!text.startsWith(open, i)) return undefined
    const start = i + open.length
    const end = text.indexOf(close, start)
    const closed = end >= 0
    const inner = text.slice(start, closed ? end : text.length)
    return {
      mark: { kind: 'quote', text: inTheirQuotes(inner, profile), closed },
      end: closed ? end + close.length : text.length,
    }
  }
}

const letters = /[\p{L}\p{N}\p{M}]+/uy
const joins = new RegExp(joiner, 'y')

/** A run of letters with the database's signs and the joiners that people write inside words, up to where a code begins. */
function textRule(profile: Profile, behind: readonly Rule[]): Rule {
  const signs = signsOf(profile).map((s) => ({ ...s, re: new RegExp(s.pattern, 'y') }))
  const unitAt = (text: string, j: number): { said: string; end: number } | undefined => {
    for (const { re, says } of signs) {
      re.lastIndex = j
      const found = re.exec(text)
      if (found) return { said: says(found), end: j + found[0].length }
    }
    letters.lastIndex = j
    const found = letters.exec(text)
    if (!found) return undefined
    // A sign may be a letter: the run of letters ends before it.
    return { said: found[0], end: j + found[0].length }
  }
  return (text, i) => {
    let said = ''
    let j = i
    while (j < text.length) {
      if (j > i && !isLetter(text.charAt(j)) && behind.some((r) => r(text, j))) break
      const unit = unitAt(text, j)
      if (unit) {
        said += unit.said
        j = unit.end
        continue
      }
      joins.lastIndex = j
      const joined = j > i ? joins.exec(text) : null
      if (!joined || !unitAt(text, j + 1)) break
      said += joined[0]
      j++
    }
    return j > i ? { mark: { kind: 'text', text: said }, end: j } : undefined
  }
}

/** All rules in the order in which they are tried; made once for each description. */
export const rulesOf = keptFor((profile: Profile): readonly Rule[] => {
  const { open, close } = profile.brackets
  const { fields } = formsOf(profile)
  const fieldsRead = fieldRules(profile)
  const suffixes = longestFirst(fields.filter((f) => !f.before.trim())).map((f) =>
    rule(literal(f.after.trim()), () => ({ kind: 'text', text: '' }), f, { first: f.after.trim().charAt(0) }),
  )
  const behind = fields.some((f) => !f.before.trim())
    ? [...suffixes, ...fieldsRead.several, ...fieldsRead.unknown]
    : []
  const closers = new Set([
    close,
    ...fields.flatMap((f) => (f.before.trim() && f.after.trim() ? [f.after.trim()] : [])),
  ])
  return [
    ...namedRules(profile),
    ...lineRules(profile),
    ...nearRules(profile),
    ...operatorRules(profile),
    ...fieldsRead.several,
    ...fieldsRead.own,
    ...fieldsRead.unknown,
    quoteRule(profile),
    rule(literal(open), () => ({ kind: 'open' }), undefined, { first: open.charAt(0) }),
    ...[...closers].map((end) =>
      rule(literal(end), () => ({ kind: 'close', text: end }), undefined, { first: end.charAt(0) }),
    ),
    textRule(profile, behind),
  ]
})
