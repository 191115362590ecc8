import { numberIn } from './number'

/** How many records came in, of what was found; how many of them were of a known work, how many works that are. */
export interface CameIn {
  found?: number
  records: number
  /** Absent: not said. */
  described?: number
  works?: number
  once?: number
}

const N = '([\\d,]+|one|none)'
const REST = new RegExp(
  `^(?:; (?:${N} described a work already found, and ${N} works? remained(?:, ${N} of them from one source alone)?|${N} of them stood in one source alone))?\\.$`,
)

export function cameIn(sentence: string): CameIn | undefined {
  const short = new RegExp(
    `^(?:The|From) ${N} records? (?:that came in described|came) ${N} works?\\.$`,
  ).exec(sentence)
  if (short) return { records: numberIn(short[1])!, works: numberIn(short[2])! }
  const m =
    new RegExp(`^(?:Of ${N} records? that the searches found, ${N} (?:was|were) brought in)`).exec(
      sentence,
    ) ??
    new RegExp(`^(?:The searches found ${N} records?, of which ${N} (?:was|were) brought in)`).exec(
      sentence,
    ) ??
    new RegExp(`^()(?:In all, ${N} records? came in)`).exec(sentence) ??
    new RegExp(`^()(?:Searching brought ${N} records?)`).exec(sentence)
  const rest = m && REST.exec(sentence.slice(m[0].length))
  if (!m || !rest) return undefined
  const [found, records] = [numberIn(m[1]), numberIn(m[2])]
  if (records === undefined) return undefined
  const [described, works, once] = [numberIn(rest[1]), numberIn(rest[2]), numberIn(rest[3] ?? rest[4])]
  return {
    ...(found === undefined ? {} : { found }),
    records,
    ...(described === undefined ? {} : { described }),
    ...(works === undefined ? {} : { works }),
    ...(once === undefined ? {} : { once }),
  }
}
