import { numberIn } from './number'

export interface Terms {
  /** What is named, as it is listed; absent in short, and where none was searched with. */
  named?: string
  /** All of them are named. */
  all: boolean
  /** How many there are; absent: as many as are named. */
  count?: number
  /** Something was searched, by what is said of the strategies. */
  searched: boolean
  /** So many of the plan stand in no line that was run; `all`: every one. */
  unasked: number | 'all'
}

const COUNT = '([\\w,]+) terms?'
const LISTS = 'the strategies as they were run, line by line, in Appendix B'

export function terms(sentence: string): Terms | undefined {
  if (sentence.includes('…')) return undefined
  const none =
    new RegExp(
      `^None of the ${COUNT} of the plan stands in a line that was run; Appendix A lists them, and ${LISTS}\\.$`,
    ).exec(sentence) ??
    new RegExp(
      `^Appendix A lists ${COUNT} of the plan, none of which stands in a line that was run; the strategies as they were run stand in Appendix B\\.$`,
    ).exec(sentence)
  const lacking = numberIn(none?.[1])
  if (lacking) return { all: false, count: lacking, searched: true, unasked: 'all' }
  if (
    /^(?:The one term of the plan stands in no line that was run|No line that was run has the one term of the plan); /.test(
      sentence,
    )
  )
    return { all: false, count: 1, searched: true, unasked: 'all' }
  const short = new RegExp(`^The supplement has all ${COUNT} and the strategies\\.$`).exec(sentence)
  const held = numberIn(short?.[1])
  if (held) return { all: false, count: held, searched: true, unasked: 0 }
  const m =
    /^(?:(The terms are)|(Among the words are|The words held by the most works, in title, abstract or keywords, are)) ([^;]+)(?:; (.+))?\.$/.exec(
      sentence,
    ) ?? /^(?:As terms (?:were taken|serve)(, among others,)?) ()([^;]+)(?:; (.+))?\.$/.exec(sentence)
  if (!m) return undefined
  const among = m[2] || m[1] === ', among others,'
  const [named, rest] = [m[3]!, m[4]]
  const base = { named, all: !among }
  if (rest === undefined) return { ...base, searched: false, unasked: 0 }
  const gathered = numberIn(new RegExp(`^${COUNT} are gathered so far$`).exec(rest)?.[1])
  if (gathered) return { ...base, count: gathered, searched: false, unasked: 0 }
  const few =
    /^Appendix A has them by concept, and Appendix B the strategies as they were run, line by line(?:; ([\w,]+) more of the plan stands? in no line that was run)?$/.exec(
      rest,
    )
  if (few) return { ...base, searched: true, unasked: numberIn(few[1]) ?? 0 }
  const all = new RegExp(
    `^all ${COUNT} are listed in Appendix A, and ${LISTS}(?:; ([\\w,]+) of these stands? in no line that was run)?$`,
  ).exec(rest)
  const count = numberIn(all?.[1])
  return count ? { ...base, count, searched: true, unasked: numberIn(all?.[2]) ?? 0 } : undefined
}

export interface NoHeading {
  gaps: { name: string; about: string }[]
  searched: boolean
}

export function noHeading(sentence: string): NoHeading | undefined {
  const m =
    /^(.+); there, words alone (had|have) to find (?:it|these)\.$/.exec(sentence) ??
    /^As (.+), words alone (had|have) to find (?:it|these) there\.$/.exec(sentence)
  if (!m) return undefined
  const gaps = m[1]!.split(/(?:, | and )(?=[^,]+? has no heading for )/).map((part) => {
    const one = /^(.+?) has no heading for (.+)$/.exec(part)
    return { name: one?.[1] ?? '', about: one?.[2] ?? '' }
  })
  return gaps.every((g) => g.name) ? { gaps, searched: m[2] === 'had' } : undefined
}

export function dropped(sentence: string): { count: number; reasoned: boolean } | undefined {
  const m =
    /^(?:(?:We|I) tried and dropped ([\w,]+) more|Another ([\w,]+) (?:was|were) tried and dropped|Tried and dropped (?:was|were) ([\w,]+) more)(; Appendix A says why)?\.$/.exec(
      sentence,
    )
  const count = numberIn(m?.[1] ?? m?.[2] ?? m?.[3])
  return count ? { count, reasoned: m![4] !== undefined } : undefined
}
