import { inPattern, keptFor } from '../base'
import { maskParts } from '../query'
import type { Profile } from './schema'

/** A truncation sign as a pattern, and what it says in plain notation. */
export interface TheirSign {
  readonly pattern: string
  readonly says: (found: RegExpExecArray) => string
}

/** The truncation signs of a database, the longest first. */
export const signsOf = keptFor((profile: Profile): readonly TheirSign[] => {
  const { any, one, upTo } = profile.truncation
  const [before = '', after = ''] = upTo?.split('{n}') ?? []
  return [
    ...(upTo
      ? [
          {
            length: upTo.length,
            pattern: `${inPattern(before)}(\\d{1,2})${inPattern(after)}`,
            says: (found: RegExpExecArray) => `*${found[1]!}`,
          },
        ]
      : []),
    ...(any ? [{ length: any.length, pattern: inPattern(any), says: () => '*' }] : []),
    ...(one ? [{ length: one.length, pattern: inPattern(one), says: () => '?' }] : []),
  ].sort((a, b) => b.length - a.length)
})

/** What stands inside their quotes, in plain notation: signs that count there as ours, any other as a gap between words. */
export function inTheirQuotes(text: string, profile: Profile): string {
  const signs = profile.quotes.signs ? signsOf(profile) : []
  const patterns = signs.map((s) => new RegExp(s.pattern, 'uy'))
  let out = ''
  for (let i = 0; i < text.length;) {
    const at = patterns.findIndex((re) => {
      re.lastIndex = i
      return re.test(text)
    })
    if (at >= 0) {
      const re = patterns[at]!
      re.lastIndex = i
      const found = re.exec(text)!
      out += signs[at]!.says(found)
      i += found[0].length
    } else {
      const char = text.charAt(i)
      out += char === '*' || char === '?' ? ' ' : char
      i++
    }
  }
  return out
}

/** The text of a word in the database's signs. */
export function maskText(text: string, profile: Profile): string {
  const { any, one, upTo } = profile.truncation
  if (!/[*?]/.test(text)) return text
  return maskParts(text)
    .map((p) => {
      if ('letters' in p) return p.letters
      if (p.least === 1) return one ?? ''
      return p.most === Infinity ? (any ?? '') : (upTo ?? '{n}').replace('{n}', String(p.most))
    })
    .join('')
}

/** A text between the quotes of a database. */
export const inQuotes = (text: string, profile: Profile): string =>
  profile.quotes.open + text + profile.quotes.close

/** A phrase as it was typed, in the database's signs: what stands between its words stays. */
export const maskTyped = (typed: string, profile: Profile): string =>
  typed.replace(/[\p{L}\p{N}\p{M}*?]+/gu, (word) => maskText(word, profile))

/** Would a phrase as it was typed be read there as just that phrase? */
export function typedSayable(typed: string, profile: Profile): boolean {
  const inside = maskTyped(typed, profile)
  const { open, close } = profile.quotes
  if (inside.includes(open) || inside.includes(close)) return false
  return inTheirQuotes(inside, profile).replace(/\s+/g, ' ').trim() === typed
}

/** Words side by side in the database's signs. */
export const maskWords = (words: readonly string[], profile: Profile): string =>
  words.map((w) => maskText(w, profile)).join(' ')
