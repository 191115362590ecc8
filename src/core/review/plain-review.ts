import { heldEntries, inBuckets, type Buckets } from '../base'
import type { SideState, SideTaken } from './side-taken'
import type { Review, Ruling } from './values'

type PlainRulings = Record<string, Record<string, Ruling>>
type PlainSide = Omit<SideTaken, 'state'> & { state: Omit<SideState, 'rulings'> & { rulings: PlainRulings } }

/** A review as it is written into files: rulings by record, in one record. */
export interface PlainReview extends Omit<Review, 'rulings' | 'sides'> {
  rulings: PlainRulings
  sides: PlainSide[]
}

const plain = (rulings: Buckets<Record<string, Ruling>>): PlainRulings =>
  Object.fromEntries(heldEntries(rulings))
const kept = (rulings: PlainRulings): Buckets<Record<string, Ruling>> => inBuckets(Object.entries(rulings))

export const plainReview = (review: Review): PlainReview => ({
  ...review,
  rulings: plain(review.rulings),
  sides: review.sides.map((s) => ({ ...s, state: { ...s.state, rulings: plain(s.state.rulings) } })),
})

export const reviewFromPlain = (review: PlainReview): Review => ({
  ...review,
  rulings: kept(review.rulings),
  sides: review.sides.map((s) => ({ ...s, state: { ...s.state, rulings: kept(s.state.rulings) } })),
})
