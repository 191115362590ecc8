import type { Index } from '../../engine'

/**
 * How many letters apart two words are: one put in, left out, changed, or two neighbours exchanged (optimal string alignment).
 * More than `most` is told as `most + 1`.
 */
export function lettersApart(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1
  let before: number[] = []
  let last = Array.from({ length: b.length + 1 }, (_, j) => j)
  for (let i = 1; i <= a.length; i++) {
    const row = [i]
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1
      let least = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + same)
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        least = Math.min(least, before[j - 2]! + 1)
      row.push(least)
    }
    before = last
    last = row
  }
  return Math.min(last[b.length]!, most + 1)
}

/** As many letters as may be wrong in a word of this length: of a short one another word is soon near. */
const mayDiffer = (word: string): number => (word.length < 4 ? 0 : word.length < 8 ? 1 : 2)

/** The word of a list that is nearest to one that was mistyped; of equally near ones that with more records. */
export function nearestOf(
  word: string,
  candidates: Iterable<{ text: string; records: number }>,
): string | undefined {
  const most = mayDiffer(word)
  let best: { text: string; apart: number; records: number } | undefined
  for (const { text, records } of candidates) {
    const apart = text[0] === word[0] || most > 1 ? lettersApart(word, text, most) : most + 1
    if (!apart || apart > most) continue
    if (!best || apart < best.apart || (apart === best.apart && records > best.records))
      best = { text, apart, records }
  }
  return best?.text
}

/** A word of the records that this may have been meant for: it stands in at least two of them. */
export function meantIn(index: Index, word: string): string | undefined {
  const every = function* (): Generator<{ text: string; records: number }> {
    const { terms, termPairs } = index.words
    for (let t = 0; t < terms.length; t++) {
      const records = termPairs[t + 1]! - termPairs[t]!
      if (records > 1 && /^\p{L}+$/u.test(terms[t]!)) yield { text: terms[t]!, records }
    }
  }
  return nearestOf(word, every())
}
