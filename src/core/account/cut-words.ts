import { inPattern } from '../base'
import { parse, walk } from '../query'
import type { Review, Run } from '../review'
import { runsBehind } from './standing'

/**
 * Words that a run asks for with any ending, and that were sent without a sign for it: as they begin, and in no other form.
 * Read from what was sent, whatever the database is said to be able to. Of a phrase, its words as they stand.
 */
export function cutIn({ text, sent }: Pick<Run, 'text' | 'sent'>): string[] {
  const { tree } = parse(text)
  if (!tree) return []
  return [...walk(tree)].flatMap((e) => {
    const words = e.kind === 'word' ? [e.text] : e.kind === 'phrase' ? [...e.words] : []
    const open = words.filter((w) => /^[\p{L}\p{N}-]+\*$/u.test(w)).map((w) => w.slice(0, -1))
    const cut = open.length > 0 && open.every((stem) => isBare(stem, sent))
    return cut ? [words.map((w) => w.replace(/\*$/, '')).join(' ')] : []
  })
}

/** Does a word stand in what was sent as it is, and nowhere with a sign or another ending? */
function isBare(stem: string, sent: string): boolean {
  const found = [...sent.matchAll(new RegExp(`(?<![\\p{L}\\p{N}-])${inPattern(stem)}(.?)`, 'giu'))]
  return found.length > 0 && found.every(([, next]) => next === '' || /[\s)"”,;\]]/.test(next!))
}

/** Words of the lines that count of a source which were sent so, each once. */
export function cutWords(review: Review, sourceId: string): string[] {
  return [...new Set(runsBehind(review, sourceId).flatMap(cutIn))]
}
