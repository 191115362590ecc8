import type { Review } from '@/core/review'
import type { JudgedPlan } from './judge-desk'

/** The plan of a review as far as judging needs it. */
export const planOf = ({
  concepts,
  alternatives,
  terms,
  limits,
}: Pick<Review, 'concepts' | 'alternatives' | 'terms' | 'limits'>): JudgedPlan => ({
  concepts,
  alternatives,
  terms,
  limits: limits.map((l) => l.limit),
})
