import { TIMES, timesIn, type Time } from './days'
import { numberIn } from './number'

/** What a sentence says of references that were followed. */
export interface Followed {
  how: 'cited' | 'citing'
  /** Absent: of how many works is not said. */
  works?: number
  times: Time[]
  through?: string
  steps: number
  /** Absent: nobody noted it. */
  named?: number
  known?: number
  uncounted: number
  lastGaveNothing: boolean
}

export function wayFollowed(sentence: string): Followed | undefined {
  const m = new RegExp(
    '^(?:(The references of|Read were the references of)|(Works that cite|Looked for were works that cite)) (?:([\\d,]+) works?|works)(?: were (?:read|looked for))? ' +
      TIMES +
      '(?:, through (.*?))?(?:, in (\\w+|[\\d,]+) steps)?' +
      '(?:; how many were named (was not noted)|; ([\\d,]+) works? were named(?:, ([\\d,]+) of them known already)?)' +
      '(?:; of (\\w+|[\\d,]+) steps? it was not noted how many)?(; the last step brought nothing new)?\\.$',
  ).exec(sentence)
  const times = m && timesIn(m[4]!)
  if (!m || !times) return undefined
  const maybe = <K extends string>(name: K, n: number | undefined): Partial<Record<K, number>> =>
    n === undefined ? {} : ({ [name]: n } as Record<K, number>)
  const steps = numberIn(m[6]) ?? 1
  return {
    how: m[1] ? 'cited' : 'citing',
    ...maybe('works', numberIn(m[3])),
    times,
    ...(m[5] ? { through: m[5] } : {}),
    steps,
    ...maybe('named', numberIn(m[8])),
    ...maybe('known', numberIn(m[9])),
    uncounted: m[7] ? steps : (numberIn(m[10]) ?? 0),
    lastGaveNothing: m[11] !== undefined,
  }
}
