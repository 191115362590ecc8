import { numberIn } from './number'

/** What is said of works that readers saw differently. */
export interface SettledOf {
  differed: number
  settled: number
  /** In the words of those who settled; empty: not told. */
  hows: string[]
  /** What becomes of those that nobody settled; absent where there are none. */
  rule?: 'any yes goes on' | 'all agree' | 'settle first'
}

/** By which rule it goes on with what nobody settled. */
function ruleIn(words: string | undefined): SettledOf['rule'] {
  const said = words?.replace(/^(?:it|they|the others?) /, '') ?? ''
  if (/^goe?s? on where anybody ruled (?:it|them) in, and stays? open otherwise$/.test(said))
    return 'any yes goes on'
  if (/^(?:is|are) set aside where anybody ruled (?:it|them) out, and stays? open otherwise$/.test(said))
    return 'all agree'
  return /^still waits?$/.test(said) ? 'settle first' : undefined
}

const howsIn = (words: string | undefined): string[] => words?.trim().split(/, | or /) ?? []

export function settledOf(sentence: string, them: 'titles' | 'texts'): SettledOf | undefined {
  const N = `([\\d,]+) ${them === 'texts' ? 'full texts?' : 'works?'}`
  const none =
    new RegExp(`^Readers saw ${N} differently, and nobody has settled (?:that|these) yet; (.*)\\.$`).exec(
      sentence,
    ) ?? new RegExp(`^What readers saw differently, ${N}, nobody has settled yet; (.*)\\.$`).exec(sentence)
  if (none) {
    const [differed, rule] = [numberIn(none[1]), ruleIn(none[2])]
    return differed === undefined || !rule ? undefined : { differed, settled: 0, hows: [], rule }
  }
  const all =
    new RegExp(`^Readers saw ${N} differently; (?:it was|all were) settled( .*)?\\.$`).exec(sentence) ??
    new RegExp(`^What readers saw differently, ${N}, was settled( .*)?\\.$`).exec(sentence)
  if (all) {
    const differed = numberIn(all[1])
    return differed === undefined ? undefined : { differed, settled: differed, hows: howsIn(all[2]) }
  }
  const some =
    new RegExp(
      `^Of ${N} that readers saw differently, (\\w+) (?:was|were) settled( [^;]*)?; (the others? .*)\\.$`,
    ).exec(sentence) ??
    turned(
      new RegExp(
        `^(\\w+) of ${N} that readers saw differently (?:was|were) settled( [^;]*)?; (the others? .*)\\.$`,
      ).exec(sentence),
    )
  if (!some) return undefined
  const [differed, settled, rule] = [numberIn(some[1]), numberIn(some[2]), ruleIn(some[4])]
  return differed === undefined || settled === undefined || !rule
    ? undefined
    : { differed, settled, hows: howsIn(some[3]), rule }
}

const turned = (m: RegExpExecArray | null): (string | undefined)[] | undefined =>
  m ? [m[0], m[2], m[1], ...m.slice(3)] : undefined
