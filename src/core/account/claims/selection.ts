import type { FactContext } from '../facts'
import type { Claims } from './claim'

/** What was read in title and abstract and how it was ruled; what nobody has ruled was not read. */
export function selection({ review, figures }: FactContext): Claims {
  const { total, left } = figures.broad
  if (total === left) return []
  const criterionIds = review.criteria.filter((k) => k.pass === 'broad' && k.text.trim()).map((k) => k.id)
  return [[{ says: 'Read', on: ['rulings'], left, criterionIds }]]
}
