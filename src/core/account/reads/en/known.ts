import { numberIn } from './number'

/** How many of the known items were found, and how many are from years that the limits leave out. */
export interface KnownFound {
  found: number | 'all'
  outside: number | 'the rest' | 'untold'
  /** So many were not found for no reason that is told; absent: what is left. */
  missed?: number
  /** There is but one. */
  one: boolean
}

export interface KnownNamed {
  count: number
  when: 'before' | 'while' | 'any'
  found?: KnownFound
}

const YEARS = 'from (?:a year|years) that the limits leave out'

/** Behind "; " of those that were named, or as a sentence of their own. */
function foundIn(words: string): KnownFound | undefined {
  const all = words.replace(/^taken together, /, '')
  const one = new RegExp(`^it is (not )?among the records brought in(; it is ${YEARS})?$`).exec(all)
  if (one) return { found: one[1] ? 0 : 1, outside: one[2] ? 'the rest' : 'untold', one: true }
  if (/^(?:all known items|all of them) are among the records brought in$/.test(all))
    return { found: 'all', outside: 'untold', one: false }
  const m = /^([\w,]+)(?: of them)? (?:is|are) among the records brought in(.*)$/.exec(all)
  return m ? withYears(numberIn(m[1]), m[2]!) : undefined
}

function withYears(found: number | undefined, rest: string): KnownFound | undefined {
  if (found === undefined) return undefined
  if (!rest) return { found, outside: 'untold', one: false }
  if (new RegExp(`^, and (?:all|the other one|the other [\\w,]+) (?:is|are) ${YEARS}$`).test(rest)) {
    const k = numberIn(/^, and the other (\w+) /.exec(rest)?.[1])
    return {
      found,
      outside: k !== undefined && !/other one/.test(rest) ? k : 'the rest',
      missed: 0,
      one: false,
    }
  }
  const m = new RegExp(`^, ([\\w,]+) (?:is|are) ${YEARS}, and ([\\w,]+) (?:was|were) not found$`).exec(rest)
  const [outside, missed] = [numberIn(m?.[1]), numberIn(m?.[2])]
  return outside === undefined || missed === undefined ? undefined : { found, outside, missed, one: false }
}

export function knownNamed(sentence: string): KnownNamed | undefined {
  const ITEMS = '([\\w,]+) known items?'
  const m =
    new RegExp(
      `^${ITEMS} (?:that )?(?:was|were) named (before searching served as a test|while searching served as a test|to test the searches)(?:; (.+))?\\.$`,
      'i',
    ).exec(sentence) ??
    new RegExp(
      `^As a test served ${ITEMS} that (?:was|were) named (before searching|while searching)(?:; (.+))?\\.$`,
    ).exec(sentence) ??
    new RegExp(`^To test the searches, ${ITEMS} (?:was|were) (named)(?:; (.+))?\\.$`).exec(sentence)
  const count = numberIn(m?.[1])
  if (!m || !count) return undefined
  const when = m[2]!.startsWith('before') ? 'before' : m[2]!.startsWith('while') ? 'while' : 'any'
  const found = m[3] === undefined ? undefined : foundIn(m[3])
  if (m[3] !== undefined && !found) return undefined
  return { count, when, ...(found ? { found } : {}) }
}

export function knownAdded(sentence: string): { count: number; found?: KnownFound } | undefined {
  const m =
    /^(?:Another ([\w,]+) (?:was|were) added later|Later, another ([\w,]+) (?:was|were) added)(?:; (.+))?\.$/.exec(
      sentence,
    )
  const count = numberIn(m?.[1] ?? m?.[2])
  if (!m || !count) return undefined
  const found = m[3] === undefined ? undefined : foundIn(m[3])
  return m[3] !== undefined && !found ? undefined : { count, ...(found ? { found } : {}) }
}

export function knownFound(sentence: string): KnownFound | undefined {
  const one =
    new RegExp(`^The one known item was (not )?among them(; it is ${YEARS})?\\.$`).exec(sentence) ??
    new RegExp(`^Among them the one known item was (not )?found(; it is ${YEARS})?\\.$`).exec(sentence)
  if (one) return { found: one[1] ? 0 : 1, outside: one[2] ? 'the rest' : 'untold', one: true }
  if (/^(?:All known items were among them|Among them were all known items)\.$/.test(sentence))
    return { found: 'all', outside: 'untold', one: false }
  const none =
    /^(?:None of the known items was among them|Among them was none of the known items)(.*)\.$/.exec(sentence)
  if (none) return withYears(0, none[1]!)
  const m =
    /^Of the known items, ([\w,]+) (?:was|were) among them(.*)\.$/.exec(sentence) ??
    /^Among them (?:was|were) ([\w,]+) of the known items(.*)\.$/.exec(sentence)
  return m ? withYears(numberIn(m[1]), m[2]!) : undefined
}
