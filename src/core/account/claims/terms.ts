import { termsInUse } from '../../review'
import type { FactContext } from '../facts'
import { triedAndDropped } from '../standing'
import type { Claim } from './claim'

/** The terms of the plan by concept, what a vocabulary has nothing for, and what was tried and dropped. */
export function terms({ review }: FactContext): Claim[] {
  const used = termsInUse(review)
  if (!used.length) return []
  const claims: Claim[] = [{ says: 'TermsGathered', on: used.map((t) => `term:${t.id}`) }]
  for (const { id: gapId, sourceId } of review.gaps)
    if (review.sources.some((s) => s.id === sourceId))
      claims.push({ says: 'NoHeadingFor', on: [`source:${sourceId}`], gapId, sourceId })
  const tried = triedAndDropped(review)
  if (tried.length)
    claims.push({
      says: 'TermsDropped',
      on: tried.map((t) => `term:${t.id}`),
      count: tried.length,
      reasoned: tried.every((t) => t.reason?.trim()),
    })
  return claims
}
