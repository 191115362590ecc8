import { TIMES, timesIn, type Time } from './days'
import { numberIn } from './number'

/** How many databases, and in full which, as they are listed. */
export interface Searched {
  count: number
  names?: string
}

export function searched(sentence: string): Searched | undefined {
  const one = /^(?:(?:We|I) searched one database|One database was searched), (.*) \(Table 1\)\.$/.exec(
    sentence,
  )
  if (one) return { count: 1, names: one[1]! }
  const m =
    /^(?:(?:(?:We|I|In all, we|In all, I) searched|The search covered) ([\w,]+) databases|In all, ([\w,]+) databases were searched) \(Table 1\)(?:: (.*))?\.$/.exec(
      sentence,
    )
  const count = numberIn(m?.[1] ?? m?.[2])
  return m && count ? { count, ...(m[3] === undefined ? {} : { names: m[3] }) } : undefined
}

export function toSearch(sentence: string): Searched | undefined {
  const one = /^(?:(?:We|I) plan to search one database|One database is to be searched), (.*)\.$/.exec(
    sentence,
  )
  if (one) return { count: 1, names: one[1]! }
  const m =
    /^(?:(?:(?:We|I) plan to search|The search is to cover) ([\w,]+) databases|([\w,]+) databases are to be searched): (.*)\.$/.exec(
      sentence,
    )
  const count = numberIn(m?.[1] ?? m?.[2])
  return m && count ? { count, names: m[3]! } : undefined
}

export function toSearchBesides(sentence: string): { names: string } | undefined {
  const m =
    /^(?:(?:We|I) plan to search (.*) as well, which has not been done yet|Still to be searched (?:is|are) (.*)|(.*) (?:is|are) still to be searched)\.$/.exec(
      sentence,
    )
  const names = m?.[1] ?? m?.[2] ?? m?.[3]
  return names ? { names } : undefined
}

/** Of those that were named before: which have a thesaurus. */
export interface Indexed {
  names: 'the one' | 'all' | { listed: string; count?: number }
}

export function indexed(sentence: string): Indexed | undefined {
  if (
    /^(?:Its records are indexed with a thesaurus of its own|It indexes records with a thesaurus)\.$/.test(
      sentence,
    )
  )
    return { names: 'the one' }
  if (
    /^(?:(?:All of them|Both) index their records|Each indexes its records) with a thesaurus(?: of its own)?\.$/.test(
      sentence,
    )
  )
    return { names: 'all' }
  const m =
    /^(?:Of these, (.*) (?:indexes its|index their)|([\w,]+) of them, (.*), (?:indexes its|index their)) records with a thesaurus\.$/.exec(
      sentence,
    )
  if (!m) return undefined
  const count = numberIn(m[2])
  return { names: { listed: (m[1] ?? m[3])!, ...(count === undefined ? {} : { count }) } }
}

/** Names with the reason for which they were taken; without names: the one database that there is. */
export interface Chosen {
  chosen: { names?: string; reason?: string }[]
}

const WHY = '(?:because )?(.+)'
const VERB = '(?:chosen|taken|added|included)'

export function chosen(sentence: string): Chosen | undefined {
  const it = new RegExp(`^(?:(?:We|I) chose it|It was chosen|Chosen it was) because (.+)\\.$`).exec(sentence)
  if (it) return { chosen: [{ reason: it[1]! }] }
  const own = /^(.+) (?:was|were) wanted too\.$/.exec(sentence)
  if (own) return { chosen: [{ names: own[1]! }] }
  const m = new RegExp(`^(?:(?:We|I) chose (.+?)|(.+?) (?:was|were) ${VERB}) because ${WHY}\\.$`).exec(
    sentence,
  )
  if (!m) return undefined
  const names = (m[1] ?? m[2])!
  const two = /^(.+), and (.+?) because (.+)$/.exec(m[3]!)
  return two
    ? {
        chosen: [
          { names, reason: two[1]! },
          { names: two[2]!, reason: two[3]! },
        ],
      }
    : { chosen: [{ names, reason: m[3]! }] }
}

/** What was searched at once with which others, and through what. */
export interface Together {
  name: string
  others: string
}

export function together(sentence: string): Together | undefined {
  const a = /^(.+?) was searched at once with ([^…]+?); its counts are of all of them\.$/.exec(sentence)
  if (a) return { name: a[1]!, others: a[2]! }
  const b = /^Together with (.+?), one search reached ([^…]+?); the counts are of all of them\.$/.exec(
    sentence,
  )
  return b ? { name: b[1]!, others: b[2]! } : undefined
}

/** When something was searched; without names: everything that was. */
export interface SearchedOn {
  names?: string
  times: Time[]
  revised: boolean
  /** Of which counts it is said that they are those of the last search. */
  counts?: 'all' | 'own'
}

const COUNTS = '(?:; (the|its|their) counts given here are those of the last search)?'
const REVISED = ', with revised strategies,'

const made = (
  names: string | undefined,
  when: string,
  revised: boolean,
  counts: string | undefined,
): SearchedOn | undefined => {
  const times = timesIn(when)
  return (
    times && {
      ...(names === undefined ? {} : { names }),
      times,
      revised,
      ...(counts === undefined ? {} : { counts: counts === 'the' ? ('all' as const) : ('own' as const) }),
    }
  )
}

export function searchedOn(sentence: string): SearchedOn | undefined {
  const revised = sentence.includes(`again${REVISED}`)
  const plain = revised ? sentence.replace(`again${REVISED}`, 'again') : sentence
  const a = new RegExp(
    `^(?:(All|Both|The search) (?:were searched|was run)|(.+?) (?:was|were) searched) ${TIMES}${COUNTS}\\.$`,
  ).exec(plain)
  if (a) return made(a[2], a[3]!, revised, a[4])
  const b = new RegExp(`^Searching took place ${TIMES}(?: in (.+?))?${COUNTS}\\.$`).exec(plain)
  return b ? made(b[2], b[1]!, revised, b[3]) : undefined
}

export function searchedAgain(sentence: string): SearchedOn | undefined {
  const revised = sentence.includes(REVISED)
  const plain = revised ? sentence.replace(REVISED, '') : sentence
  const a = new RegExp(
    `^(?:(?:We|I) searched (.+?)|(.+?) (?:was|were) searched) again ${TIMES}${COUNTS}\\.$`,
  ).exec(plain)
  if (a) {
    const names = (a[1] ?? a[2])!
    return made(
      /^(?:it|all of them|both of them|All|Both)$/.test(names) ? undefined : names,
      a[3]!,
      revised,
      a[4],
    )
  }
  const b = new RegExp(`^A further search was run ${TIMES}(?: in (.+?))?${COUNTS}\\.$`).exec(plain)
  return b ? made(b[2], b[1]!, revised, b[3]) : undefined
}
