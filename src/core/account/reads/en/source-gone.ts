import { TIMES, timesIn, type Time } from './days'
import { numberIn } from './number'

/** What was searched and taken out of the plan: when, and what of its records left and what stayed. */
export interface SourceGone {
  name: string
  /** Another one of its name is still there. */
  another: boolean
  times: Time[]
  /** Absent: the day is not told. */
  on?: string
  left: number
  stayed: number
}

const OUT = 'aken out of the plan(?: on (\\d+ \\w+ \\d{4}))?(?:, with its ([\\d,]+) records?)?'
const SINCE = '(?:nothing of it is counted here|([\\d,]+) records? that came of it (?:is|are) still counted)'
const FIRST = new RegExp(
  `^(?:(.+?) was searched(?: as well)?, ${TIMES}, and|An earlier search of (.+?), ${TIMES}, was) t${OUT}; ${SINCE}\\.$`,
)
const SECOND = new RegExp(
  `^T${OUT} was (?:(an earlier search of )(.+?), ${TIMES}|(.+?), searched ${TIMES}); ${SINCE}\\.$`,
)

export function sourceGone(sentence: string): SourceGone | undefined {
  const a = FIRST.exec(sentence)
  if (a) return made(a[1] ?? a[3]!, a[3] !== undefined, (a[2] ?? a[4])!, a[5], a[6], a[7])
  const b = SECOND.exec(sentence)
  return b ? made((b[4] ?? b[6])!, b[3] !== undefined, (b[5] ?? b[7])!, b[1], b[2], b[8]) : undefined
}

function made(
  name: string,
  another: boolean,
  times: string,
  on: string | undefined,
  left: string | undefined,
  stayed: string | undefined,
): SourceGone | undefined {
  const when = timesIn(times)
  const day = on === undefined ? undefined : timesIn(`on ${on}`)?.[0]?.first
  if (!when) return undefined
  return {
    name,
    another,
    times: when,
    ...(day === undefined ? {} : { on: day }),
    left: numberIn(left) ?? 0,
    stayed: numberIn(stayed) ?? 0,
  }
}
