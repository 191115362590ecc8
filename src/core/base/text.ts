import type { Span } from './problem'

/** A word of a text: folded for comparing, and where it stood in the text as given. */
export interface Token {
  text: string
  at: Span
}

const MARKS = /\p{M}+/gu
const WORD = /[\p{L}\p{N}\p{M}]+/gu
const ASCII_WORD = /^[a-z0-9]+$/
const SPECIAL: Record<string, string> = { ß: 'ss', æ: 'ae', œ: 'oe', ø: 'o', đ: 'd', ł: 'l', ħ: 'h', ı: 'i' }
const SPECIALS = /[ßæœøđłħı]/g

/**
 * Folds a word for comparing: Unicode NFKC, lower case, diacritics dropped, letters that have no mark of their own
 * (ß, æ, ø …) spelled out. Folding twice changes nothing more.
 */
export function foldWord(word: string): string {
  if (ASCII_WORD.test(word)) return word
  return word
    .normalize('NFKC')
    .toLowerCase()
    .normalize('NFD')
    .replace(MARKS, '')
    .replace(SPECIALS, (c) => SPECIAL[c] ?? c)
    .normalize('NFC')
}

/** The words of a text in order. Letters and digits make words; everything else separates. */
export function tokens(text: string): Token[] {
  const found: Token[] = []
  for (const match of text.matchAll(WORD)) {
    const folded = foldWord(match[0])
    // A compatibility sign may unfold into several words ("½" is "1⁄2"): keep its parts, all at the same place.
    for (const part of ASCII_WORD.test(folded) ? [folded] : (folded.match(WORD) ?? [])) {
      found.push({ text: part, at: [match.index, match.index + match[0].length] })
    }
  }
  return found
}

/** Folds a label or a phrase: its words, folded, one space between. Two labels that differ only in signs agree. */
export function foldLabel(text: string): string {
  return tokens(text)
    .map((t) => t.text)
    .join(' ')
}

/** 12345.6 → "12,345.6". */
export function thousands(n: number): string {
  const [whole = '', rest] = String(n).split('.')
  const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, ',')
  return rest ? `${grouped}.${rest}` : grouped
}

const SMALL = 'no one two three four five six seven eight nine ten eleven twelve'.split(' ')

/** Numbers to twelve in words, greater ones in figures, as running text has them. */
export function inWords(n: number): string {
  return Number.isInteger(n) && n >= 0 ? (SMALL[n] ?? thousands(n)) : thousands(n)
}

/** "1 record", "1,204 records". */
export function plural(n: number, one: string, many = `${one}s`): string {
  return `${thousands(n)} ${n === 1 ? one : many}`
}

/** "one record", "twelve records", "1,204 records". */
export function pluralInWords(n: number, one: string, many = `${one}s`): string {
  return `${inWords(n)} ${n === 1 ? one : many}`
}

/** "a", "a and b", "a, b and c"; the empty list is the empty string. */
export function listed(items: readonly string[], word = 'and'): string {
  if (items.length < 2) return items[0] ?? ''
  return `${items.slice(0, -1).join(', ')} ${word} ${items[items.length - 1]}`
}

/** Words as they stand, for the inside of a pattern. */
export const inPattern = (words: string): string => words.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&')
