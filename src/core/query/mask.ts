import { foldWord, tokens } from '../base'

/** One stretch of a word with signs: letters as they are, or room for between `least` and `most` characters. */
export type MaskPart = { letters: string } | { least: number; most: number }

const PARTS = /\*(\d{0,2})|\?|[^*?]+/gu
const HAS_SIGN = /[*?]/

export const isMasked = (word: string): boolean => HAS_SIGN.test(word)

/**
 * Takes a word apart at its signs; letters are folded. `nutrition*2` → letters "nutrition", room for 0–2. A number
 * counts only directly behind `*` and has at most two digits. A word without signs gives one part.
 */
export function maskParts(word: string): MaskPart[] {
  const parts: MaskPart[] = []
  for (const match of word.matchAll(PARTS)) {
    if (match[0] === '?') parts.push({ least: 1, most: 1 })
    else if (match[0].startsWith('*')) parts.push({ least: 0, most: match[1] ? Number(match[1]) : Infinity })
    else parts.push({ letters: foldWord(match[0]) })
  }
  return parts
}

/** A test for folded words. `reverberat*` passes "reverberation"; the empty word passes only a mask of signs. */
export function maskTest(word: string): (folded: string) => boolean {
  if (!isMasked(word)) {
    const whole = foldWord(word)
    return (folded) => folded === whole
  }
  return matcher(maskParts(word))
}

// Matching by sets of places reached is linear in word × mask, where a regular expression could run away.
function matcher(parts: MaskPart[]): (folded: string) => boolean {
  const [first] = parts
  // Nearly all words fall at their first letters already: that is told before anything is laid out.
  const begin = first && 'letters' in first ? first.letters : ''
  return (folded) => {
    if (!folded.startsWith(begin)) return false
    const chars = [...folded]
    let reached = new Set([0])
    for (const part of parts) {
      const next = new Set<number>()
      for (const from of reached) {
        if ('letters' in part) {
          const letters = [...part.letters]
          if (letters.every((c, k) => chars[from + k] === c)) next.add(from + letters.length)
        } else {
          const end = Math.min(chars.length, from + part.most)
          for (let to = from + part.least; to <= end; to++) next.add(to)
        }
      }
      reached = next
      if (!reached.size) return false
    }
    return reached.has(chars.length)
  }
}

/** The folded letters before the first sign: every match begins with them. Empty if the word begins with a sign. */
export function maskStem(word: string): string {
  const [first] = maskParts(word)
  return first && 'letters' in first ? first.letters : ''
}

/**
 * Splits what a person typed as one run into words, signs kept where they stood: "sound-field*" → ["sound", "field*"].
 * Repeated signs fall together; a sign without a letter beside it is dropped.
 */
export function maskedWords(text: string): string[] {
  return text
    .normalize('NFKC')
    .split(/[^\p{L}\p{N}\p{M}*?]+/u)
    .map((w) => w.replace(/\*+(?=\*)/g, ''))
    .filter(
      (w) =>
        tokens(w.replace(/\*\d{0,2}|\?/g, 'x')).length > 0 &&
        /[\p{L}\p{N}]/u.test(w.replace(/\*\d{0,2}/g, '')),
    )
}

/** A phrase as it was typed, where that is more than its words side by side; empty where it is not. */
export function typedAs(text: string, words: readonly string[]): { typed?: string } {
  const typed = text.normalize('NFKC').replace(/\s+/g, ' ').trim()
  // Signs that stand for nothing are no part of what was asked.
  return typed === words.join(' ') || /(?:^|[^\p{L}\p{N}\p{M}*?])[*?]|\*\*/u.test(typed) ? {} : { typed }
}
