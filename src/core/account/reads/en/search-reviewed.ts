import { timesIn } from './days'
import { numberIn } from './number'

/** One look at the strategies: its day, and where it stands among the searches. */
export interface Look {
  day: string
  when: 'before' | 'between' | 'after' | 'untold'
}

export interface SearchReviewedRead {
  who: string
  role: string
  /** Absent: of all that were searched. */
  of?: { looked: number; searched: number }
  looks: Look[]
  verdict?: 'no revisions' | 'revisions suggested' | 'revisions required'
  /** It was said that nothing was *left* to revise. */
  left: boolean
}

const DAY = '(\\d+ \\w+ \\d{4})'
const WHEN = '(, before the first search|, after the searches|, after the first search and before the last)?'
const DAYS = `[oO]n ${DAY}${WHEN}(?:, and again on ${DAY}${WHEN})?`
const WHO = '([^(]+?)(?: \\(([^)]*)\\))?'
const WHAT = 'the strategies(?: of ([\\w,]+) of ([\\w,]+) databases)?'
const BY =
  'by the guideline for Peer Review of Electronic Search Strategies \\(PRESS; Appendix I\\)(?:, and (found nothing to revise|found nothing left to revise|suggested revisions|asked for revisions))?\\.$'

const VERDICTS: Readonly<Record<string, NonNullable<SearchReviewedRead['verdict']>>> = {
  'found nothing to revise': 'no revisions',
  'found nothing left to revise': 'no revisions',
  'suggested revisions': 'revisions suggested',
  'asked for revisions': 'revisions required',
}

const look = (day: string, when: string | undefined): Look => ({
  day: timesIn(`on ${day}`)?.[0]?.first ?? '?',
  when:
    when === undefined
      ? 'untold'
      : when.includes('before the first')
        ? 'before'
        : when.includes('after the searches')
          ? 'after'
          : 'between',
})

export function searchReviewed(sentence: string): SearchReviewedRead | undefined {
  const a = new RegExp(`^${WHO} reviewed ${WHAT} ${DAYS}, ${BY}`).exec(sentence)
  const b = new RegExp(`^${DAYS}, ${WHO} reviewed ${WHAT} ${BY}`).exec(sentence)
  const [who, role, looked, searched, d1, w1, d2, w2, verdict] = a
    ? a.slice(1)
    : b
      ? [b[5], b[6], b[7], b[8], b[1], b[2], b[3], b[4], b[9]]
      : []
  if (!who || !d1) return undefined
  const [of, among] = [numberIn(looked), numberIn(searched)]
  return {
    who,
    role: role ?? '',
    ...(of === undefined || among === undefined ? {} : { of: { looked: of, searched: among } }),
    looks: [look(d1, w1), ...(d2 ? [look(d2, w2)] : [])],
    ...(verdict ? { verdict: VERDICTS[verdict]! } : {}),
    left: verdict === 'found nothing left to revise',
  }
}

/** What became of points: all of them, by how many. */
export interface PointsRead {
  points: number
  taken: number
  declined: number
  waiting: number
}

const only = (points: number, what: 'taken' | 'declined' | 'waiting'): PointsRead => ({
  points,
  taken: 0,
  declined: 0,
  waiting: 0,
  [what]: points,
})

export function pointsRaised(sentence: string): PointsRead | undefined {
  if (/^(?:(?:We|I) acted on the one point made|The one point made was acted on)\.$/.test(sentence))
    return only(1, 'taken')
  if (
    /^(?:(?:We|I) declined the one point made|The one point made was declined), with a reason\.$/.test(
      sentence,
    )
  )
    return only(1, 'declined')
  if (sentence === 'The one point made is still open.') return only(1, 'waiting')
  const acted = /^(?:(?:We|I) acted on all ([\w,]+) points|All ([\w,]+) points were acted on)\.$/.exec(
    sentence,
  )
  const open = /^All ([\w,]+) points are still open\.$/.exec(sentence)
  const every = numberIn(acted?.[1] ?? acted?.[2] ?? open?.[1])
  if (every) return only(every, acted ? 'taken' : 'waiting')
  if (
    /^Of two points, (?:(?:we|I) acted on one and declined|one was acted on and) the other(?: declined)?, with a reason\.$/.test(
      sentence,
    )
  )
    return { points: 2, taken: 1, declined: 1, waiting: 0 }
  const m =
    /^Of ([\w,]+) points, (?:(?:we|I) acted on ([\w,]+)|([\w,]+) (?:was|were) acted on)?(?: and )?(?:(?:(?:we|I) )?declined ([\w,]+)|([\w,]+) (?:was|were) declined)?(?:, with (?:a reason|reasons))?(?:, and ([\w,]+) (?:is|are) still open)?\.$/.exec(
      sentence,
    )
  const points = numberIn(m?.[1])
  if (!m || !points) return undefined
  return {
    points,
    taken: numberIn(m[2] ?? m[3]) ?? 0,
    declined: numberIn(m[4] ?? m[5]) ?? 0,
    waiting: numberIn(m[6]) ?? 0,
  }
}
