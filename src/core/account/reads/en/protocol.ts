import { timesIn } from './days'
import { numberIn } from './number'

export interface ProtocolFrozen {
  /** Absent: it is told only that it was before the first search. */
  day?: string
  when: 'before' | 'after' | 'untold'
  /** Absent: nothing is said of it. */
  registered?: string | false
  /** In short: in how many points it was departed from. */
  points?: number
}

const dayIn = (words: string | undefined): string | undefined =>
  words === undefined ? undefined : timesIn(`on ${words}`)?.[0]?.first
const DAY = '(\\d+ \\w+ \\d{4})'

const IN_FULL = new RegExp(
  `^(?:Our|My|Its) plan was frozen as a protocol on ${DAY}(.*)\\.$|^(?:We|I) froze (?:our|my) plan as a protocol on ${DAY}(.*)\\.$|^A protocol was frozen on ${DAY}(.*)\\.$`,
)
const IN_SHORT = new RegExp(
  `^(?:(?:We|I|It) followed a|A) protocol frozen (?:(before the first search)|on ${DAY})(?: was followed)?(?:, but for (\\w+) points? \\(Appendix J\\))?\\.$`,
)

export function protocolFrozen(sentence: string): ProtocolFrozen | undefined {
  const short = IN_SHORT.exec(sentence)
  if (short) {
    const day = dayIn(short[2])
    return {
      ...(day === undefined ? {} : { day }),
      when: short[1] ? 'before' : 'untold',
      points: numberIn(short[3]) ?? 0,
    }
  }
  const m = IN_FULL.exec(sentence)
  const day = dayIn(m?.[1] ?? m?.[3] ?? m?.[5])
  if (!m || day === undefined) return undefined
  const rest =
    /^(?:, (before|after) the first search)?(?:,? and registered(?: it)? with (.*)|(; it is not registered))?$/.exec(
      m[2] ?? m[4] ?? m[6] ?? '',
    )
  if (!rest) return undefined
  return {
    day,
    when: (rest[1] as 'before' | 'after' | undefined) ?? 'untold',
    ...(rest[2] !== undefined ? { registered: rest[2] } : rest[3] ? { registered: false as const } : {}),
  }
}

export interface ProtocolAmended {
  times: number
  last: string
  reason?: string
}

export function protocolAmended(sentence: string): ProtocolAmended | undefined {
  const once =
    new RegExp(`^The protocol was amended once, on ${DAY}(?:, because (.*))?\\.$`).exec(sentence) ??
    new RegExp(`^Once, on ${DAY}, the protocol was amended(?:, because (.*))?\\.$`).exec(sentence)
  const only = dayIn(once?.[1])
  if (only) return { times: 1, last: only, ...(once![2] === undefined ? {} : { reason: once![2] }) }
  const m = new RegExp(
    `^(?:The protocol|It) was amended (twice|\\w+ times), last on ${DAY} \\(Appendix J\\)\\.$`,
  ).exec(sentence)
  const last = dayIn(m?.[2])
  const times = m?.[1] === 'twice' ? 2 : numberIn(m?.[1]?.split(' ')[0])
  return last && times ? { times, last } : undefined
}

export function departed(sentence: string): { points: number } | undefined {
  const m =
    /^(?:In all, )?(?:[Ww]e departed|I departed|[Tt]he review departs) from the protocol in (\w+) points?, (?:which Appendix J explains|listed with reasons in Appendix J)\.$/.exec(
      sentence,
    )
  const points = numberIn(m?.[1])
  return points ? { points } : undefined
}
