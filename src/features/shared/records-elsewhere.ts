import type { Review } from '@/core/review'
import type { RecordsElsewhere } from '@/store/environment'
import { deskReview, recordsDesk } from '@/workers'

const partsOf = (review: Review) => deskReview(review)

/** The record desk as the store knows it. */
export const recordsElsewhere: RecordsElsewhere = {
  works: (review) => recordsDesk().works(partsOf(review), review.knownItems),
  worksOf: (review) => recordsDesk().worksOf(partsOf(review), review.knownItems),
  check: (review) => recordsDesk().check(partsOf(review)),
  wrongInKept: (reviewId) => recordsDesk().wrongInKept(reviewId),
  rescued: (digest) => recordsDesk().rescued(digest),
  forget: (reviewId) => recordsDesk().forget(reviewId),
}
