import { inWords, pluralInWords } from '../../base'
import { finishedReviews, nameOfPerson, settlingOf, type SearchReview } from '../../review'
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

const settled = (c: FactContext, { comments }: SearchReview, as: 'taken' | 'declined' | undefined): number =>
  comments.filter((comment) => settlingOf(c.review, comment)?.as === as).length

/** Facts of who looked the searches over, each by the id of the reviewer. */
export const SEARCH_REVIEW: Record<string, Reader> = {
  reviewer: reading((r, c) => nameOfPerson(c.review, r.reader), 'who reviewed the searches'),
  'reviewed.on': reading(
    (r) => dateWords(r.finished.at),
    'the day on which the review of the searches was finished',
  ),
  'reviewed.comments': reading(
    (r) => pluralInWords(r.comments.length, 'comment'),
    'the comments of the reviewer of the searches',
  ),
  'reviewed.taken': reading((r, c) => inWords(settled(c, r, 'taken')), 'comments that were acted on'),
  'reviewed.declined': reading((r, c) => inWords(settled(c, r, 'declined')), 'comments that were declined'),
  'reviewed.waiting': reading((r, c) => inWords(settled(c, r, undefined)), 'comments that are still open'),
}
