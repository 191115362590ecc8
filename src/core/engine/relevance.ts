import { walk, type Expr } from '../query'
import { fieldMask } from './document'
import type { Index } from './index-read'

const TITLE = 3

/**
 * How much each document has of the words of an expression: for every word the logarithm of how rare it is, three times
 * that where it stands in the title. Words behind NOT do not count. For ordering only; it decides nothing.
 */
export function relevance(index: Index, e: Expr): Float32Array {
  const scores = new Float32Array(index.size)
  const title = fieldMask(['title'], [])
  const text = fieldMask(['text'], [])
  for (const word of wordsOf(e))
    for (const term of index.termsFor(word)) {
      const docs = index.docsOf(term, text)
      const weight = Math.log(1 + index.size / (1 + docs.length))
      for (let i = 0; i < docs.length; i++) scores[docs[i]!]! += weight
      for (const doc of index.docsOf(term, title)) scores[doc]! += weight * (TITLE - 1)
    }
  return scores
}

function wordsOf(e: Expr): Set<string> {
  const found = new Set<string>()
  const look = (part: Expr): void => {
    if (part.kind === 'not') return look(part.parts[0]!)
    for (const x of walk(part)) {
      if (x.kind === 'word') found.add(x.text)
      if (x.kind === 'phrase') for (const w of x.words) found.add(w)
    }
  }
  look(e)
  return found
}
