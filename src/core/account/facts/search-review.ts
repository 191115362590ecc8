import { inWords, pluralInWords } from '../../base'
import {
  finishedReviews,
  nameOfPerson,
  pointsOf,
  settlingOf,
  standingRuns,
  type SearchReview,
} from '../../review'
import { dateWords } from '../words'
import { MISSING, type FactContext, type Reader } from './fact'

type Finished = ReturnType<typeof finishedReviews>[number]

const reviewBy = (c: FactContext, reader: string): Finished | undefined =>
  finishedReviews(c.review).find((r) => r.reader === reader)

const reading =
  (words: (found: Finished, c: FactContext) => string, from: string): Reader =>
  (c, reader) => {
    const found = reviewBy(c, reader)
    return {
      text: found ? words(found, c) : MISSING,
      missing: !found,
      stage: 'methods',
      anchor: 'searchreview',
      from,
    }
  }

const searchedOf = (c: FactContext): string[] => [
  ...new Set(standingRuns(c.review.runs).map((run) => run.sourceId)),
]
const settled = (c: FactContext, said: SearchReview, as: 'taken' | 'declined' | undefined): number =>
  pointsOf(said).filter((point) => settlingOf(c.review, point)?.as === as).length

/** Facts of who looked the searches over, each by the id of the reviewer. */
export const SEARCH_REVIEW = {
  reviewer: reading((r, c) => nameOfPerson(c.review, r.reader), 'who reviewed the searches'),
  'reviewed.on': reading(
    (r) => dateWords(r.finished.at),
    'the day on which the review of the searches was finished',
  ),
  'reviewed.first': reading(
    (r) => (r.earlier?.[0] ? dateWords(r.earlier[0].at) : MISSING),
    'the day on which the searches were first looked over',
  ),
  'reviewed.of': reading(
    (r, c) => inWords(searchedOf(c).filter((id) => r.finished.of?.some((o) => o.sourceId === id)).length),
    'databases whose strategies the reviewer looked over',
  ),
  'reviewed.searched': reading((_, c) => inWords(searchedOf(c).length), 'databases that were searched'),
  'reviewed.points': reading(
    (r) => pluralInWords(pointsOf(r).length, 'point'),
    'what the reviewer of the searches asked for, in comments on lines and of elements',
  ),
  'reviewed.taken': reading((r, c) => inWords(settled(c, r, 'taken')), 'points that were acted on'),
  'reviewed.declined': reading((r, c) => inWords(settled(c, r, 'declined')), 'points that were declined'),
  'reviewed.waiting': reading((r, c) => inWords(settled(c, r, undefined)), 'points that are still open'),
} satisfies Record<string, Reader>
