import pluralize from 'pluralize'
import { isMasked, maskStem, phrase, print, word, type Expr } from '../../query'

/** Pairs of spellings, both ways: American to British and British to American. */
export interface SpellingPairs {
  american: ReadonlyMap<string, string>
  british: ReadonlyMap<string, string>
}

/** Pairs from two tables "word: spelling on the other side"; words of one side only. */
export function spellingPairs(
  americanToBritish: Readonly<Record<string, string>>,
  britishToAmerican: Readonly<Record<string, string>>,
): SpellingPairs {
  return {
    american: new Map(Object.entries(americanToBritish)),
    british: new Map(Object.entries(britishToAmerican)),
  }
}

export type VariantKind =
  | 'British spelling'
  | 'American spelling'
  | 'closed'
  | 'open or hyphenated'
  | 'plural'
  | 'singular'
  | 'any ending'

export interface Variant {
  kind: VariantKind
  /** Plain notation. */
  text: string
}

/**
 * The spelling on the other side of the ocean: of a word as it stands, or of a stem with an open ending, where every
 * word of the tables that has the stem changes in the same way. Undefined where there is none.
 */
function otherSpelling(text: string, table: ReadonlyMap<string, string>): string | undefined {
  if (!isMasked(text)) return table.get(text)
  const stem = maskStem(text)
  if (text !== `${stem}*` || stem.length < 4) return undefined
  const others = new Set<string>()
  for (const [from, to] of table) {
    if (!from.startsWith(stem)) continue
    const ending = from.slice(stem.length)
    if (!to.endsWith(ending)) return undefined
    others.add(to.slice(0, to.length - ending.length))
  }
  const [only] = others
  return others.size === 1 && only !== stem ? `${only}*` : undefined
}

/**
 * Other ways to write a word or a phrase: spellings, closed and open forms, plural and singular. `isWord` says whether
 * a word occurs anywhere in the records, so that a closed form is only cut where both halves are words. Other
 * expressions have no variants.
 */
export function variantsOf(e: Expr, pairs: SpellingPairs, isWord: (text: string) => boolean): Variant[] {
  if (e.kind !== 'word' && e.kind !== 'phrase') return []
  const words = e.kind === 'word' ? [e.text] : e.words
  const found: Variant[] = []
  const add = (kind: VariantKind, changed: readonly string[]): void => {
    const text = print(changed.length === 1 && e.kind === 'word' ? word(changed[0]!) : phrase(...changed))
    if (text !== print(e) && !found.some((v) => v.text === text)) found.push({ kind, text })
  }
  const spelled = (kind: VariantKind, table: ReadonlyMap<string, string>): void => {
    const changed = words.map((w) => otherSpelling(w, table) ?? w)
    if (changed.some((w, i) => w !== words[i])) add(kind, changed)
  }
  spelled('British spelling', pairs.american)
  spelled('American spelling', pairs.british)
  if (words.length === 2 && !isMasked(words[0]!)) {
    const closed = words.join('')
    if (isWord(maskStem(closed))) found.push({ kind: 'closed', text: closed })
  }
  if (e.kind === 'word') {
    const stem = maskStem(e.text)
    const signs = e.text.slice(stem.length)
    for (let cut = 3; cut <= stem.length - 3; cut++) {
      const [left, right] = [stem.slice(0, cut), stem.slice(cut)]
      // The second half may be a stem; the first is a whole word.
      if (isWord(left) && isWord(right))
        found.push({ kind: 'open or hyphenated', text: print(phrase(left, right + signs)) })
    }
  }
  const last = words[words.length - 1]!
  if (!isMasked(last) && /^[a-z]{3,}$/.test(last)) {
    const before = words.slice(0, -1)
    const [one, many] = [pluralize.singular(last), pluralize.plural(last)]
    if (many !== last) add('plural', [...before, many])
    if (one !== last) add('singular', [...before, one])
    const stem = one.length < last.length || many.startsWith(one) ? one : undefined
    if (stem && stem.length >= 4) add('any ending', [...before, `${stem}*`])
  }
  return found
}
