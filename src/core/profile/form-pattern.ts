import { inPattern } from '../base'
import { formsOf, type Form } from './forms'
import type { Profile } from './schema'

export const isLetter = (text: string): boolean => /[\p{L}\p{N}]/u.test(text)

/** What people write inside words and between the parts of one: "sound-field", "don't", "10.5555/x". */
export const joiner = "['’.\\-–/+]"

/**
 * Letters and digits as ranges: the classes of Unicode take a millisecond to be made in each pattern, and a description has
 * dozens. Symbols and punctuation of all blocks stay out.
 */
export const LETTER =
  '[0-9A-Za-z\\u00aa\\u00b5\\u00ba\\u00c0-\\u1fff\\u2c00-\\u2fff\\u3040-\\udfff\\uf900-\\ufdff\\ufe70-\\ufefc\\uff10-\\uff19\\uff21-\\uff3a\\uff41-\\uffdc]'
const NO_LETTER_BEFORE = `(?<!${LETTER})`
export const NO_LETTER_BEHIND = `(?!${LETTER})`

/**
 * A pattern for fixed text that does not run into a word on either side. Spaces in it may be left out beside a sign, and
 * be more than one between letters.
 */
export function literal(text: string, neighbour = ''): string {
  const trimmed = text.trim()
  if (!trimmed) return neighbour ? '\\s*' : ''
  const start = isLetter(trimmed.charAt(0)) ? NO_LETTER_BEFORE : ''
  const end = isLetter(trimmed.slice(-1)) ? NO_LETTER_BEHIND : ''
  return start + spaced(trimmed) + end
}

const spaced = (text: string): string =>
  text
    .split(/(\s+)/)
    .map((part, i, parts) => {
      if (i % 2 === 0) return inPattern(part)
      return isLetter(parts[i - 1]!.slice(-1)) && isLetter(parts[i + 1]!.charAt(0)) ? '\\s+' : '\\s*'
    })
    .join('')

/** A form as a pattern, its slot as a group. */
export function formPattern({ before, after }: Form, group: string): string {
  const start = isLetter(before.trim().charAt(0)) || !before.trim() ? NO_LETTER_BEFORE : ''
  const open = before.trim()
  // "in {n}" and "Q1 {expr}" need their space, or the word would run on.
  const gap = before === open ? '' : isLetter(open.slice(-1)) ? '\\s+' : '\\s*'
  const close = after.trim()
  const wide = after === close || !close ? '' : isLetter(close.charAt(0)) ? '\\s+' : '\\s*'
  return `${start}${spaced(open)}${gap}${group}${wide}${close ? spaced(close) : ''}`
}

/** Do signs stand on both sides of the slot, so that nothing inside can be taken for the end? */
export const bracketed = ({ before, after }: Form): boolean => {
  const [open, close] = [before.trim().slice(-1), after.trim().charAt(0)]
  return open !== '' && close !== '' && !isLetter(open) && !isLetter(close)
}

const PAIRS: Readonly<Record<string, string>> = {
  '(': ')',
  '[': ']',
  '{': '}',
  '<': '>',
  '«': '»',
  '"': '"',
  "'": "'",
}

/** The sign that ends the inside of a form: what closes its bracket, or the first sign behind its slot. */
const closingOf = ({ before, after }: Form): string => {
  const opening = [...before]
    .reverse()
    .find((sign) => PAIRS[sign] !== undefined && after.includes(PAIRS[sign]))
  return opening ? PAIRS[opening]! : after.trim().charAt(0)
}

/** Where a name without signs round it ends: operators, codes, brackets, lines. A pattern to look ahead with. */
export function stopOf(profile: Profile): { word: string; sign: string } {
  const { all } = formsOf(profile)
  const words: string[] = []
  const signs: string[] = [
    profile.brackets.open,
    profile.brackets.close,
    profile.quotes.open,
    profile.quotes.close,
  ].map(inPattern)
  for (const form of all) {
    const { role } = form.means
    if (role === 'op') words.push(literal(form.before))
    else if (role === 'near') words.push(formPattern(form, '\\d{1,4}') + NO_LETTER_BEHIND)
    else if (role === 'line' && form.before.trim() && !isLetter(form.before.charAt(0)))
      words.push(formPattern(form, '\\d{1,6}'))
    else if (role === 'field' && form.before.trim()) words.push(literal(form.before))
    else if (role === 'field' && !isLetter(form.after.trim().charAt(0))) signs.push(literal(form.after))
    else if (role === 'field') words.push(literal(form.after))
  }
  return { word: words.join('|'), sign: signs.join('|') }
}

/**
 * The group of a heading or code in its form. Between signs it is anything up to the closing one; else a run of words that
 * crosses no operator, code, bracket or line. In quotes it may hold anything. The name is in the first or second group.
 */
export function nameGroup(form: Form, profile: Profile, stop: { word: string; sign: string }): string {
  const { open, close } = profile.quotes
  const quoted = `${inPattern(open)}((?:(?!${inPattern(close)})[^\\n]){1,200})${inPattern(close)}`
  if (bracketed(form)) {
    const end = inPattern(closingOf(form))
    const start = form.before.trim().endsWith(open) ? '' : `${quoted}|`
    return start ? `(?:${start}([^${end}\\n]{1,200}?))` : `([^${end}\\n]{1,200}?)`
  }
  const chunk = `(?:(?!${stop.sign})[^\\s]){1,60}${form.after.trim() ? '?' : ''}`
  const word = stop.word ? `(?!${stop.word})${chunk}` : chunk
  const more = `(?:[^\\S\\n]{1,3}${word}){0,9}${form.after.trim() ? '?' : ''}`
  return `(?:${quoted}|(${word}${more}))`
}
