import type { PhrasesApart } from '../reads/en'
import { countingRuns, toldAsFound } from './counting-runs'
import type { Deeds } from './deeds'

/** In quotes, two words at least. */
const phrasesOf = (text: string): string[] =>
  [...text.matchAll(/"([^"]*)"/g)].map((m) => m[1]!.trim()).filter((p) => p.split(/[\s-]+/).length > 1)

/** Do all its words stand in what was sent, and nowhere one behind the other? */
function apart(phrase: string, sent: string): boolean {
  const words = phrase
    .toLowerCase()
    .split(/[\s-]+/)
    .map((w) => w.replace(/[*?].*$/, ''))
  const escaped = words.map((w) => w.replace(/[^\p{L}\p{N}]/gu, '.'))
  const here = (pattern: string): boolean => new RegExp(`(?<![\\p{L}\\p{N}])${pattern}`, 'iu').test(sent)
  if (words.some((w) => !w) || !escaped.every(here)) return false
  return !escaped.slice(1).some((w, i) => here(`${escaped[i]!}[\\p{L}\\p{N}]*[^\\p{L}\\p{N}()]{1,2}${w}`))
}

/** Just these phrases of the lines that count were sent as words of their own, in just these databases. */
export function phrasesSentApart(read: PhrasesApart, deeds: Deeds): boolean {
  const found = countingRuns(deeds).flatMap(({ name, runs }) => {
    const phrases = new Set(runs.flatMap((r) => phrasesOf(r.text).filter((p) => apart(p, r.sent))))
    return phrases.size ? [{ name, items: [...phrases].map((p) => p.split(/[\s-]+/).join(' ')) }] : []
  })
  return toldAsFound(
    found,
    read.sources.map(({ phrases, ...s }) => ({ ...s, items: phrases })),
  )
}
