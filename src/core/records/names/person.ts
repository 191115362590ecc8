import { nameOf } from '../formats/names'
import { isBody } from './body'

const SUFFIX = /^(?:jr|sr|jun|sen|ii|iii|iv|filho|neto)\.?$/i
/** Words that a family name begins with; in small letters also the others that stand before one. */
const PARTICLES = new Set(
  'van von de del della di da do dos das du le la les ter ten den der zu zum zur al el ben bin ibn saint st y af av'.split(
    ' ',
  ),
)
/** "E.", "E. M.", "EM", "D.-J.", "D-J". */
const INITIALS = /^(?:\p{Lu}\.?(?:[ -]?\p{Lu}\.?){0,3})$/u

export const isSuffix = (text: string): boolean => SUFFIX.test(text.trim())
export const isInitials = (text: string): boolean => INITIALS.test(text.trim())
export const beginsWithParticle = (text: string): boolean => {
  const [first = '', ...rest] = text.split(/\s+/)
  return rest.length > 0 && (PARTICLES.has(first.toLowerCase()) || /^\p{Ll}/u.test(first))
}
/** Scripts without capitals, in which no order of names can be told from the name. */
export const hasNoCase = (text: string): boolean => !/[\p{Lu}\p{Ll}]/u.test(text)

/** "Lund E", "Lund E. M.", "van den Berg PB": a family name and initials behind it. */
export function familyAndInitials(text: string): [family: string, initials: string] | undefined {
  const words = text.split(/\s+/)
  let from = words.length
  while (from > 1 && isInitials(words[from - 1]!) && words[from - 1]!.replace(/[^\p{L}]/gu, '').length <= 3)
    from--
  if (from === words.length || isInitials(words[0]!)) return undefined
  return [words.slice(0, from).join(' '), words.slice(from).join(' ')]
}

/** "Jan van der Berg" → "van der Berg, Jan": the last word is the family name, and the small words before it. */
function turned(text: string): string {
  const words = text.split(/\s+/)
  if (words.length < 2) return text
  let from = words.length - 1
  for (let i = 1; i < words.length - 1; i++)
    if (/^\p{Ll}/u.test(words[i]!) || PARTICLES.has(words[i]!.toLowerCase())) {
      from = i
      break
    }
  // A name that begins with small words has no given name that could be told.
  if (beginsWithParticle(text) && !/^\p{Lu}/u.test(words[0]!)) return text
  return nameOf({ family: words.slice(from).join(' '), given: words.slice(0, from).join(' ') })
}

/** One name, of a person or a body, as records have it. */
export function readName(raw: string): string {
  const text = raw.replace(/\s+/g, ' ').trim()
  if (/^\{[^]*\}$/.test(text)) return nameOf({ literal: text.slice(1, -1) })
  if (isBody(text) && !(text.includes(',') && isPersonWithComma(text))) return nameOf({ literal: text })
  const parts = text.split(/\s*,\s*/).filter(Boolean)
  const [first = '', second, ...more] = parts
  if (second === undefined || isSuffix(second)) {
    const suffix = [second, ...more].filter((x): x is string => x !== undefined)
    const { bare, own } = withoutSuffix(first)
    return withSuffix(natural(bare), [...own, ...suffix])
  }
  const { bare, own } = withoutSuffix(first)
  return nameOf({
    family: bare,
    given: second,
    ...(own.length || more.length ? { suffix: [...own, ...more].join(', ') } : {}),
  })
}

/** "Bank, Eva", "Press, E. M.": a word of bodies that is a family name here. */
const isPersonWithComma = (text: string): boolean => {
  const [family = '', given = '', ...more] = text.split(/\s*,\s*/)
  return !more.length && !isBody(family) && !isBody(given) && !LEGAL.test(given)
}

/** What stands at the end of the name of a company. */
export const LEGAL = /\b(?:inc|ltd|llc|gmbh|corp|co|plc|s\.?a|e\.?\s?v)\.?$/i

function withoutSuffix(text: string): { bare: string; own: string[] } {
  const words = text.split(' ')
  return words.length > 1 && isSuffix(words.at(-1)!) && !/^\p{Lu}\.?$/u.test(words.at(-1)!)
    ? { bare: words.slice(0, -1).join(' '), own: [words.at(-1)!] }
    : { bare: text, own: [] }
}

const withSuffix = (name: string, suffix: readonly string[]): string =>
  suffix.length
    ? name.includes(',')
      ? `${name}, ${suffix.join(', ')}`
      : `${name}, , ${suffix.join(', ')}`
    : name

function natural(text: string): string {
  if (hasNoCase(text)) return text
  const short = familyAndInitials(text)
  if (short) return nameOf({ family: short[0], given: short[1] })
  return turned(text)
}
