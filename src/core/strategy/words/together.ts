import { print, type Expr } from '../../query'

/** Two or more words, said together in different ways. */
export interface Together {
  kind: 'as a phrase' | 'near each other' | 'anywhere'
  /** Plain notation. */
  text: string
}

const WORDS_BETWEEN = 3

/**
 * The ways to say words together, from narrow to wide: side by side, at most three words between them in any order,
 * anywhere in the record. For a phrase or an AND of words; anything else has none.
 */
export function togetherOf(e: Expr): Together[] {
  const words =
    e.kind === 'phrase'
      ? e.words
      : e.kind === 'and'
        ? e.parts.flatMap((p) => (p.kind === 'word' ? [p.text] : []))
        : []
  if (words.length < 2 || (e.kind === 'and' && words.length !== e.parts.length)) return []
  const parts = words.map((text): Expr => ({ kind: 'word', text }))
  const out: Together[] = [{ kind: 'as a phrase', text: print({ kind: 'phrase', words }) }]
  // Nearness joins two; of more words the first and the rest as a phrase.
  const [left, ...rest] = parts
  const right: Expr = rest.length === 1 ? rest[0]! : { kind: 'phrase', words: words.slice(1) }
  out.push({
    kind: 'near each other',
    text: print({ kind: 'near', ordered: false, distance: WORDS_BETWEEN, left: left!, right }),
  })
  out.push({ kind: 'anywhere', text: print({ kind: 'and', parts }) })
  return out
}
