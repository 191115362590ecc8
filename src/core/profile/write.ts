import { never } from '../base'
import { maskParts, textSpelledOut, type Expr, type Field } from '../query'
import type { Profile } from './schema'

const fill = (form: string, slot: string, text: string): string => {
  const [before = '', after = ''] = form.split(`{${slot}}`)
  return before + text + after
}

/** The text of a word in the database's signs. */
export function writeMask(text: string, profile: Profile): string {
  const { any, one, upTo } = profile.truncation
  if (!/[*?]/.test(text)) return text
  return maskParts(text)
    .map((p) => {
      if ('letters' in p) return p.letters
      if (p.least === 1) return one ?? ''
      return p.most === Infinity ? (any ?? '') : fill(upTo ?? '{n}', 'n', String(p.most))
    })
    .join('')
}

/** Writes an adapted expression. Brackets stand around every joined part inside another. */
export function write(e: Expr, profile: Profile): string {
  const op = (kind: 'and' | 'or' | 'not'): string => {
    const [sign = kind] = profile.operators[kind] ?? []
    return profile.operators.capitals ? sign.toUpperCase() : sign
  }
  const part = (inner: Expr): string => {
    const text = write(inner, profile)
    return isJoined(inner) ? profile.brackets.open + text + profile.brackets.close : text
  }
  switch (e.kind) {
    case 'word':
      return isOperator(e.text, profile) ? quoted([e.text], profile) : writeMask(e.text, profile)
    case 'phrase':
      // What a source read without quotes it is asked without quotes again, or it would no longer stem.
      return e.loose && profile.sideBySide === 'phrase' && !e.words.some((w) => isOperator(w, profile))
        ? e.words.map((w) => writeMask(w, profile)).join(' ')
        : quoted(e.words, profile)
    case 'and':
    case 'or':
    case 'not':
      return e.parts.map(part).join(` ${op(e.kind)} `)
    case 'near': {
      const n = e.distance + (profile.nearness?.counts === 'steps' ? 1 : 0)
      const form = (e.ordered ? profile.nearness?.ordered : profile.nearness?.either) ?? '{n}'
      return `${part(e.left)} ${fill(form, 'n', String(n))} ${part(e.right)}`
    }
    case 'fields': {
      const form = fieldForm(e.fields, profile)
      const closed = form && form.startsWith('{expr}') === false && form.endsWith('{expr}') === false
      return form ? fill(form, 'expr', closed ? write(e.of, profile) : part(e.of)) : part(e.of)
    }
    case 'heading': {
      const h = profile.headings
      const form = e.below ? (e.main ? h?.belowMain : h?.below) : e.main ? h?.main : h?.plain
      return fill(form ?? '{label}', 'label', e.label)
    }
    case 'class':
      return fill((e.below ? profile.classes?.below : profile.classes?.plain) ?? '{code}', 'code', e.code)
    case 'line':
      return fill(profile.lines?.reference ?? '#{n}', 'n', String(e.number))
    case 'lines': {
      const { lines } = profile
      const ref = (n: number): string => fill(lines?.reference ?? '#{n}', 'n', String(n))
      const items = e.ranges.flatMap(({ from, to }) =>
        from === to
          ? [ref(from)]
          : lines?.range
            ? [lines.range.replace('{from}', ref(from)).replace('{to}', ref(to))]
            : Array.from({ length: to - from + 1 }, (_, i) => ref(from + i)),
      )
      const form = (e.mode === 'any' ? lines?.anyOf : lines?.allOf) ?? `${e.mode}({list})`
      return fill(form, 'list', items.join(lines?.separator ?? ', '))
    }
    default:
      return never(e)
  }
}

const isJoined = (e: Expr): boolean =>
  e.kind === 'and' || e.kind === 'or' || e.kind === 'not' || e.kind === 'near'

function quoted(words: readonly string[], profile: Profile): string {
  return profile.quotes.open + words.map((w) => writeMask(w, profile)).join(' ') + profile.quotes.close
}

/** The form of exactly these fields; the default fields need none. */
export function fieldForm(fields: readonly Field[], profile: Profile): string | undefined {
  const asked = new Set(textSpelledOut(fields))
  return profile.fields.find((f) => f.of.length === asked.size && f.of.every((x) => asked.has(x)))?.form
}

/** Would this word be read as an operator? */
function isOperator(text: string, profile: Profile): boolean {
  const { and, or, not = [], capitals } = profile.operators
  return [...and, ...or, ...not].some((s) =>
    capitals ? s.toUpperCase() === text : s.toLowerCase() === text.toLowerCase(),
  )
}
