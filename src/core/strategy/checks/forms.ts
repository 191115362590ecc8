import { isMasked, phrase, word, type Expr } from '../../query'
import type { Judging } from './check'

/** As many written-out forms of a truncated word as are offered. */
const MOST_FORMS = 6

/** The words that a truncated one stands for in these records, the most frequent first. */
function wordsFor(c: Judging, text: string): string[] {
  const { termPairs } = c.index.words
  return c.index
    .termsFor(text.toLowerCase())
    .sort((a, b) => termPairs[b + 1]! - termPairs[b]! - (termPairs[a + 1]! - termPairs[a]!))
    .map((t) => c.index.term(t))
}

/**
 * A truncated word, or a phrase with one, as what it stands for in these records, as far as it finds anything. Empty where
 * nothing is truncated, where the records lie elsewhere, or where more than one word of a phrase is.
 */
export function formsOf(c: Judging, e: Expr, finds: (form: Expr) => boolean): Expr[] {
  const cut = e.kind === 'word' ? [e.text] : e.kind === 'phrase' ? e.words.filter(isMasked) : []
  if (!c.searched || cut.length !== 1 || !isMasked(cut[0]!)) return []
  return wordsFor(c, cut[0]!)
    .map((form) =>
      e.kind === 'phrase' ? phrase(...e.words.map((w) => (w === cut[0] ? form : w))) : word(form),
    )
    .filter(finds)
    .slice(0, MOST_FORMS)
}
