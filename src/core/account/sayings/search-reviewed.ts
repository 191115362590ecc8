import { keptFor } from '../../base'
import { finishedReviews, pointsOf, settlingOf, standingRuns, type SearchReviewed } from '../../review'
import type { FactContext } from '../facts'
import { whenLooked, type WhenLooked } from '../search-looks'
import { saying } from './saying'

interface Reviewed {
  reader: string
  as: string
  /** When the look was finished, and where there was an earlier one, when the first of them was. */
  when: WhenLooked
  first?: WhenLooked
  /** It is known of which databases strategies were looked at, and not all that were searched are among them. */
  partly: boolean
  verdict?: NonNullable<SearchReviewed['verdict']>
}

const PLACE = { theme: 'words', phase: 'searched', stage: 'searches' } as const

/**
 * Somebody who ran searches of the review themselves is not another person, and who looked at none of the strategies that
 * were run looked at nothing that was searched with: of them nothing is told.
 */
const reviewsOf = keptFor(({ review }: FactContext) => {
  const runs = standingRuns(review.runs)
  const searchers = new Set(runs.map((r) => r.by))
  const searched = new Set(runs.map((r) => r.sourceId))
  return finishedReviews(review).filter(
    ({ reader, finished: { of } }) =>
      runs.length > 0 && !searchers.has(reader) && (!of || of.some((o) => searched.has(o.sourceId))),
  )
})
/** Who looked the strategies over, by id. */
export const reviewersOf = (c: FactContext): string[] => reviewsOf(c).map((r) => r.reader)
const by = (c: FactContext, reader: string) => reviewsOf(c).find((r) => r.reader === reader)!

/** Who looked the strategies over, which, when, by what, and with what verdict. */
export const searchReviewed = saying<Reviewed>({
  family: 'review of the strategies',
  groups: reviewersOf,
  along: 'reviewers',
  place: PLACE,
  finds: {
    when: {},
    found: (c, of) => {
      const { reader, finished, earlier = [] } = by(c, of)
      const looked = finished.of && new Set(finished.of.map((o) => o.sourceId))
      const searched = standingRuns(c.review.runs).map((r) => r.sourceId)
      return {
        reader,
        as: finished.as.trim(),
        when: whenLooked(c.review, finished),
        ...(earlier[0] ? { first: whenLooked(c.review, earlier[0]) } : {}),
        partly: looked !== undefined && searched.some((id) => !looked.has(id)),
        ...(finished.verdict ? { verdict: finished.verdict } : {}),
      }
    },
  },
})

interface Points {
  reader: string
  taken: number
  declined: number
  waiting: number
}

/** What became of what a reviewer asked for. */
export const pointsRaised = saying<Points>({
  family: 'points raised',
  groups: (c) => reviewersOf(c).filter((r) => pointsOf(by(c, r)).length),
  along: 'reviewers',
  place: PLACE,
  finds: {
    when: {},
    found: (c, of) => {
      const done = pointsOf(by(c, of)).map((point) => settlingOf(c.review, point)?.as)
      const count = (as: 'taken' | 'declined'): number => done.filter((d) => d === as).length
      const [taken, declined] = [count('taken'), count('declined')]
      return { reader: of, taken, declined, waiting: done.length - taken - declined }
    },
  },
})
