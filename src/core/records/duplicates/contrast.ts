import { distance } from 'fastest-levenshtein'
import type { Print } from './print'

/** What two titles say that differs, beyond misprints: words, or numbers, that stand in each and not in the other. */
export interface Contrast {
  words?: [string[], string[]]
  numbers?: true
}

/** Words that titles gain and lose between databases. */
const SMALL = new Set(
  'a an the of in on for and or to from with by at as und der die das den dem des ein eine im in am zu fur von mit y de la el los las en del un una et les des du'.split(
    ' ',
  ),
)

/** Is one of these words the other, misprinted? */
function misprint(a: string, b: string): boolean {
  const most = Math.max(a.length, b.length)
  return most > 3 && distance(a, b) <= (most > 7 ? 2 : 1)
}

/** Holds the words of two titles against each other, whatever their order; nothing where neither has what the other lacks. */
export function contrastOf(a: Print, b: Print): Contrast {
  if (a.titleText === b.titleText) return {}
  const rest = [...b.title]
  const only: string[] = []
  for (const word of a.title) {
    const at = rest.indexOf(word)
    if (at >= 0) rest.splice(at, 1)
    else only.push(word)
  }
  const left = only.filter((word) => {
    const at = /^\d+$/.test(word)
      ? -1
      : rest.findIndex((other) => !/^\d+$/.test(other) && misprint(word, other))
    if (at >= 0) rest.splice(at, 1)
    return at < 0
  })
  // One word written as two.
  if (left.join('') === rest.join('')) return {}
  const figures = (words: readonly string[]): string[] => words.filter((w) => /^\d+$/.test(w))
  const meaning = (words: readonly string[]): string[] =>
    words.filter((w) => !SMALL.has(w) && !/^\d+$/.test(w))
  const [one, other] = [meaning(left), meaning(rest)]
  return {
    ...(figures(left).length && figures(rest).length ? { numbers: true as const } : {}),
    ...(one.length && other.length ? { words: [one, other] as [string[], string[]] } : {}),
  }
}
