import { parse, walk } from '../query'
import type { Review, Run } from '../review'
import { runsBehind } from './standing'

const STEM = /[*?].*$/

/**
 * Phrases that a run asks for and that were sent as words of their own: no two neighbours of them stand side by side in what was
 * sent. Read from what was sent, whatever the database is said to be able to.
 */
export function apartIn({ text, sent }: Pick<Run, 'text' | 'sent'>): string[] {
  const { tree } = parse(text)
  if (!tree) return []
  const tokens = sent.toLowerCase().match(/[\p{L}\p{N}\p{M}]+|[^\s\p{L}\p{N}\p{M}]/gu) ?? []
  return [...walk(tree)].flatMap((e) => {
    if (e.kind !== 'phrase' || e.words.length < 2) return []
    const stems = e.words.map((w) => w.toLowerCase().replace(STEM, ''))
    if (stems.some((s) => !s)) return []
    const at = stems.map((s) => tokens.flatMap((t, i) => (t.startsWith(s) ? [i] : [])))
    if (at.some((places) => !places.length)) return []
    const together = at.slice(1).some((places, k) => places.some((i) => touch(at[k]!, i, tokens)))
    return together ? [] : [e.words.join(' ')]
  })
}

/** Does one of these places stand before this one with nothing but signs of a word between? */
const touch = (before: readonly number[], at: number, tokens: readonly string[]): boolean =>
  before.some(
    (i) => i < at && at - i <= 3 && tokens.slice(i + 1, at).every((t) => !/[\p{L}\p{N}()]/u.test(t)),
  )

/** Phrases of the lines that count of a source which were sent so, each once. */
export function phrasesApart(review: Review, sourceId: string): string[] {
  return [...new Set(runsBehind(review, sourceId).flatMap(apartIn))]
}
