import { timesIn } from './days'
import { partsOf } from './number'

/** Which searches are planned to be run again, how often and when next; without names: all that were run. */
export type SearchAgain = { names?: string[]; months: number; next: string }[]

const MONTHS: Readonly<Record<string, number>> = {
  'every month': 1,
  'every three months': 3,
  'every six months': 6,
  'every year': 12,
}
const WHEN = '(every [a-z]+(?: months)?), next on (\\d+ \\w+ \\d{4})'
const OF = '(?:[Aa]ll searches|[Tt]he search(?:es)? of (.+))'

export function searchAgain(sentence: string): SearchAgain | undefined {
  const [head = '', ...rest] = sentence.replace(/\.$/, '').split('; ')
  const a = new RegExp(`^${OF} (?:is|are) to be run again ${WHEN}$`).exec(head)
  const b = new RegExp(`^To be run again ${WHEN} (?:is|are) ${OF}$`).exec(head)
  const first = a ? one(a[1], a[2]!, a[3]!) : b && one(b[3], b[1]!, b[2]!)
  const others = rest.map((part) => {
    const m = new RegExp(`^th(?:at|ose) of (.+) ${WHEN}$`).exec(part)
    return m ? one(m[1], m[2]!, m[3]!) : undefined
  })
  const all = [first, ...others]
  return all.every((p) => p) ? (all as SearchAgain) : undefined
}

function one(names: string | undefined, every: string, next: string): SearchAgain[number] | undefined {
  const months = MONTHS[every]
  const day = timesIn(`on ${next}`)?.[0]?.first
  return months && day
    ? { ...(names === undefined ? {} : { names: partsOf(names) }), months, next: day }
    : undefined
}
