/** The slow checker of what is said of known items that were found: it knows titles and years, and no code of the account. */
import type { stateOf } from './journal-state.fixture'

/** Is it so what stands behind "served as a test;"? Without words nothing is said. */
export function foundWords(
  { known }: ReturnType<typeof stateOf>,
  number: (words: string) => number,
  is: { titles: ReadonlySet<string>; leftOut: (year: number) => boolean },
): (words: string | undefined) => boolean {
  const found = known.filter((k) => is.titles.has(k.title)).length
  const outside = known.filter(
    (k) => !is.titles.has(k.title) && k.year !== undefined && is.leftOut(k.year),
  ).length
  const missed = known.length - found - outside
  return (words) => {
    if (words === undefined) return true
    const all = words.replace(/^taken together, /, '').replace(/^all known items/, 'all of them')
    const one =
      /^it is (not )?among the records brought in(; it is from a year that the limits leave out)?$/.exec(all)
    if (one) return known.length === 1 && found === (one[1] ? 0 : 1) && outside === (one[2] ? 1 : 0)
    const m = /^(none|all|\w+)(?: of them)? (?:is|are) among the records brought in(?:, (.*))?$/.exec(all)
    if (!m) return false
    const told = m[1] === 'none' ? 0 : m[1] === 'all' ? known.length : number(m[1]!)
    if (told !== found) return false
    if (m[2] === undefined) return outside === 0
    if (
      /^and (?:all are|the other (?:one is|\w+ are)) from (?:a year|years) that the limits leave out$/.test(
        m[2],
      )
    )
      return outside > 0 && missed === 0
    const some =
      /^(\w+) (?:is|are) from (?:a year|years) that the limits leave out, and (\w+) (?:was|were) not found$/.exec(
        m[2],
      )
    return some !== null && number(some[1]!) === outside && number(some[2]!) === missed
  }
}
