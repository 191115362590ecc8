import { inPattern } from '../base'
import { MOST_WORDS_BETWEEN, type Field } from '../query'
import type { Profile } from './schema'

/** A mark of a database's syntax. `wrap` opens a field up to its closing text; `prefix` and `suffix` take one part. */
export type SyntaxMark =
  | { kind: 'op'; op: 'and' | 'or' | 'not' }
  | { kind: 'near'; ordered: boolean; distance: number }
  | { kind: 'open' }
  | { kind: 'close'; text: string }
  | { kind: 'wrap'; fields: Field[]; until: string }
  | { kind: 'prefix'; fields: Field[] }
  | { kind: 'suffix'; fields: Field[] }
  | { kind: 'quote'; text: string; closed: boolean }
  | { kind: 'heading'; label: string; below: boolean; main: boolean }
  | { kind: 'class'; code: string; below: boolean }
  | { kind: 'line'; number: number }
  | { kind: 'lines'; mode: 'any' | 'all'; list: string }
  | { kind: 'text'; text: string }

/** One rule of reading: tried at a place of the text; gives the mark and how far it reaches. */
export interface Rule {
  at: (text: string, i: number) => { mark: SyntaxMark; end: number } | undefined
}

const isLetter = (text: string): boolean => /[\p{L}\p{N}]/u.test(text)

/** A rule from a pattern; the pattern is anchored at the place and reads at most a bounded stretch. */
function rule(
  pattern: string,
  make: (groups: RegExpExecArray) => SyntaxMark | undefined,
  flags = 'iuy',
): Rule {
  const re = new RegExp(pattern, flags)
  return {
    at: (text, i) => {
      re.lastIndex = i
      const found = re.exec(text)
      const mark = found && make(found)
      return mark ? { mark, end: i + found[0].length } : undefined
    },
  }
}

/** A pattern for literal text that does not run into a word on either side. */
function literal(text: string): string {
  const start = isLetter(text.charAt(0)) ? '(?<![\\p{L}\\p{N}])' : ''
  const end = isLetter(text.charAt(text.length - 1)) ? '(?![\\p{L}\\p{N}])' : ''
  return start + text.trim().split(/\s+/).map(inPattern).join('\\s+') + end
}

/** A form as a pattern, its slot as a group. The longest forms come first, so that none hides another. */
function formPattern(form: string, slot: string, group: string): string {
  const [before = '', after = ''] = form.split(`{${slot}}`)
  const start = before && isLetter(before.charAt(0)) ? '(?<![\\p{L}\\p{N}])' : ''
  return `${start}${inPattern(before)}${group}${inPattern(after)}`
}

/** What a label may hold: anything but the sign that ends the form. */
const labelGroup = (form: string, slot: string): string => {
  const after = form.split(`{${slot}}`)[1] ?? ''
  const stop = after.trim().slice(-1)
  return stop ? `([^${inPattern(stop)}\\n]{1,200}?)` : '([\\p{L}\\p{N}.\\-]{1,80})'
}

function headingRules(profile: Profile): Rule[] {
  const h = profile.headings
  if (!h) return []
  const forms = [
    { form: h.belowMain, below: true, main: true },
    { form: h.below, below: true, main: false },
    { form: h.main, below: false, main: true },
    { form: h.plain, below: false, main: false },
  ].flatMap(({ form, ...rest }) => (form ? [{ form, ...rest }] : []))
  return forms
    .sort((a, b) => b.form.length - a.form.length)
    .map(({ form, below, main }) =>
      rule(formPattern(form, 'label', labelGroup(form, 'label')), (m) =>
        m[1]!.trim() ? { kind: 'heading', label: m[1]!.trim(), below, main } : undefined,
      ),
    )
}

function classRules(profile: Profile): Rule[] {
  const c = profile.classes
  const forms = [
    { form: c?.below, below: true },
    { form: c?.plain, below: false },
  ].flatMap(({ form, below }) => (form ? [{ form, below }] : []))
  return forms
    .sort((a, b) => b.form.length - a.form.length)
    .map(({ form, below }) =>
      rule(formPattern(form, 'code', labelGroup(form, 'code')), (m) =>
        m[1]!.trim() ? { kind: 'class', code: m[1]!.trim(), below } : undefined,
      ),
    )
}

function lineRules(profile: Profile): Rule[] {
  const { lines } = profile
  if (!lines) return []
  const lists = [
    { form: lines.anyOf, mode: 'any' as const },
    { form: lines.allOf, mode: 'all' as const },
  ].flatMap(({ form, mode }) => (form ? [{ form, mode }] : []))
  return [
    ...lists.map(({ form, mode }) =>
      rule(formPattern(form, 'list', labelGroup(form, 'list')), (m) => ({
        kind: 'lines',
        mode,
        list: m[1]!,
      })),
    ),
    rule(`${formPattern(lines.reference, 'n', '(\\d{1,6})')}(?![\\p{L}\\p{N}])`, (m) => ({
      kind: 'line',
      number: Number(m[1]),
    })),
  ]
}

function fieldRules(profile: Profile): Rule[] {
  return [...profile.fields]
    .sort((a, b) => b.form.length - a.form.length)
    .map(({ of, form }): Rule => {
      const [before = '', after = ''] = form.split('{expr}')
      const start = (text: string): string =>
        (isLetter(text.charAt(0)) ? '(?<![\\p{L}\\p{N}])' : '') + inPattern(text)
      if (before && after) return rule(start(before), () => ({ kind: 'wrap', fields: of, until: after }))
      if (before) return rule(start(before), () => ({ kind: 'prefix', fields: of }))
      return rule(inPattern(after) + (isLetter(after.slice(-1)) ? '(?![\\p{L}\\p{N}])' : ''), () => ({
        kind: 'suffix',
        fields: of,
      }))
    })
}

function operatorRules(profile: Profile): Rule[] {
  const { operators, nearness } = profile
  const flags = operators.capitals ? 'uy' : 'iuy'
  const near = [
    { form: nearness?.ordered, ordered: true },
    { form: nearness?.either, ordered: false },
  ].flatMap(({ form, ordered }) => (form ? [{ form, ordered }] : []))
  return [
    ...near.map(({ form, ordered }) =>
      rule(`${formPattern(form, 'n', '(\\d{1,4})')}(?![\\p{L}\\p{N}])`, (m) => {
        const distance = Number(m[1]) - (nearness?.counts === 'steps' ? 1 : 0)
        return { kind: 'near', ordered, distance: Math.min(Math.max(0, distance), MOST_WORDS_BETWEEN) }
      }),
    ),
    ...(['and', 'or', 'not'] as const).flatMap((op) =>
      (operators[op] ?? []).map((sign) =>
        rule(literal(operators.capitals ? sign.toUpperCase() : sign), () => ({ kind: 'op', op }), flags),
      ),
    ),
  ]
}

function quoteRule(profile: Profile): Rule {
  const { open, close } = profile.quotes
  return {
    at: (text, i) => {
      if (!text.startsWith(open, i)) return undefined
      const start = i + open.length
      const end = text.indexOf(close, start)
      const closed = end >= 0
      const inner = text.slice(start, closed ? end : text.length)
      return {
        mark: { kind: 'quote', text: fromTheirSigns(inner, profile), closed },
        end: closed ? end + close.length : text.length,
      }
    },
  }
}

/** Their truncation signs as ours. */
export function fromTheirSigns(text: string, profile: Profile): string {
  const { any, one, upTo } = profile.truncation
  let out = text
  if (upTo) out = out.replace(new RegExp(formPattern(upTo, 'n', '(\\d{1,2})'), 'g'), '\u0001$1')
  if (any) out = out.split(any).join('*')
  if (one) out = out.split(one).join('?')

  return out.replace(/\u0001/g, '*')
}

/** A run of letters with the database's signs and the joiners that people write inside words. */
function textRule(profile: Profile): Rule {
  const { any, one, upTo } = profile.truncation
  const signs = [
    ...(upTo ? [formPattern(upTo, 'n', '\\d{1,2}')] : []),
    ...[any, one].flatMap((s) => (s ? [inPattern(s)] : [])),
  ]
  const unit = `(?:[\\p{L}\\p{N}\\p{M}]${signs.length ? `|${signs.join('|')}` : ''})`
  return rule(`${unit}+(?:['’.\\-–/+]${unit}+)*`, (m) => ({
    kind: 'text',
    text: fromTheirSigns(m[0], profile),
  }))
}

/** All rules in the order in which they are tried. */
export function rulesOf(profile: Profile): Rule[] {
  const { open, close } = profile.brackets
  return [
    // A code may be written as a heading with one more sign, so codes are tried first.
    ...classRules(profile),
    ...headingRules(profile),
    ...lineRules(profile),
    ...operatorRules(profile),
    ...fieldRules(profile),
    quoteRule(profile),
    rule(inPattern(open), () => ({ kind: 'open' })),
    rule(inPattern(close), () => ({ kind: 'close', text: close })),
    ...[...new Set(profile.fields.map((f) => f.form.split('{expr}')[1]!))]
      .filter(
        (end, i) =>
          end && profile.fields.some((f) => f.form.endsWith(end) && !f.form.startsWith('{expr}')) && i >= 0,
      )
      .map((end) => rule(inPattern(end), () => ({ kind: 'close', text: end }))),
    textRule(profile),
  ]
}
