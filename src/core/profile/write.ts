import { never } from '../base'
import { type Expr } from '../query'
import { filled, formsOf, type Form } from './forms'
import { nameIn } from './sayable'
import type { Profile } from './schema'
import { inQuotes, maskText, maskTyped, maskWords } from './signs'

/**
 * Writes an adapted expression in the forms of a database. Brackets stand around every joined part inside another, and
 * around what a code would not reach.
 */
export function write(e: Expr, profile: Profile): string {
  const forms = formsOf(profile)
  const { open, close } = profile.brackets
  const inBrackets = (text: string): string => open + text + close
  const part = (inner: Expr): string => {
    const text = write(inner, profile)
    return isJoined(inner) || reachesOn(inner) ? inBrackets(text) : text
  }
  /** What nearness or a code takes as one: words side by side are several there. */
  const one = (inner: Expr): string =>
    inner.kind === 'phrase' && inner.loose && inner.words.length > 1
      ? inBrackets(write(inner, profile))
      : part(inner)
  const reachesOn = (inner: Expr): boolean => {
    const form = inner.kind === 'fields' ? forms.field(inner.fields) : undefined
    return form?.means.reach === 'row' && !wraps(form)
  }
  switch (e.kind) {
    case 'word':
      return maskText(e.text, profile)
    case 'phrase':
      // What a source read without quotes it is asked without quotes again, or it would no longer stem.
      if (e.loose) return maskWords(e.words, profile)
      return inQuotes(
        e.typed === undefined ? maskWords(e.words, profile) : maskTyped(e.typed, profile),
        profile,
      )
    case 'and':
    case 'or':
    case 'not':
      return e.parts.map(part).join(` ${forms.op(e.kind) ?? e.kind} `)
    case 'near': {
      const n = e.distance + (profile.nearness?.counts === 'steps' ? 1 : 0)
      const form = forms.near(e.ordered)
      return `${one(e.left)} ${form ? filled(form, String(n)) : n} ${one(e.right)}`
    }
    case 'fields': {
      const form = forms.field(e.fields)
      if (!form) return part(e.of)
      const { reach } = form.means
      const bare = wraps(form) || reach === 'row'
      const inside = reach === 'bracket' && !wraps(form) ? inBrackets(write(e.of, profile)) : one(e.of)
      return filled(form, bare ? write(e.of, profile) : reach === 'run' ? part(e.of) : inside)
    }
    case 'heading':
      return named(forms.heading(e.below, e.main), e.label, profile)
    case 'class':
      return named(forms.class(e.below), e.code, profile)
    case 'line':
      return forms.line ? filled(forms.line, String(e.number)) : `#${e.number}`
    case 'lines': {
      const { lines } = profile
      const ref = (n: number): string => (forms.line ? filled(forms.line, String(n)) : `#${n}`)
      const items = e.ranges.map(({ from, to }) =>
        from === to || !lines?.range
          ? ref(from)
          : lines.range.replace('{from}', () => ref(from)).replace('{to}', () => ref(to)),
      )
      const list = items.join(lines?.separator ?? ', ')
      const form = forms.lines(e.mode)
      return form ? filled(form, list) : `${e.mode}(${list})`
    }
    default:
      return never(e)
  }
}

const wraps = (form: Form): boolean => form.before.trim() !== '' && form.after.trim() !== ''

const isJoined = (e: Expr): boolean =>
  e.kind === 'and' || e.kind === 'or' || e.kind === 'not' || e.kind === 'near'

/** A heading or code in its form, in quotes where it would be read otherwise without. */
const named = (form: Form | undefined, name: string, profile: Profile): string =>
  form ? filled(form, nameIn(form, name, profile) ?? name) : name
