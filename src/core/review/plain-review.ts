import { heldEntries, inBuckets, type Buckets } from '../base'
import type { SideState, SideTaken } from './side-taken'
import { emptyReview, type Review, type Ruling } from './values'

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

/** What is wrong with a value that should be a review as it is written into files; undefined where nothing is. */
export function wrongInPlain(value: unknown): string | undefined {
  const like = plainReview(emptyReview('')) as unknown as Record<string, unknown>
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return 'it is no review'
  const of = value as Record<string, unknown>
  const part = Object.keys(like).find(
    (key) =>
      typeof of[key] !== typeof like[key] ||
      Array.isArray(of[key]) !== Array.isArray(like[key]) ||
      of[key] === null,
  )
  return part && `its part “${part}” is not there, or is not what it should be`
}
