import { termsInUse } from '../../review'
import type { FactContext } from '../facts'
import { triedAndDropped } from '../standing'
import type { Claim, Claims } from './claim'

/** The terms of the plan by concept, what a vocabulary has nothing for, and what was tried and dropped. */
export function terms({ review }: FactContext): Claims {
  const used = termsInUse(review)
  if (!used.length) return []
  const claims: Claim[] = [{ says: 'TermsGathered', on: used.map((t) => `term:${t.id}`) }]
  for (const { id: conceptId } of review.concepts) {
    const own = used.filter((t) => t.conceptId === conceptId)
    const count = (kind: string, sourceId?: string): number =>
      own.filter((t) => t.kind === kind && (sourceId === undefined || t.sourceId === sourceId)).length
    const headings = review.sources
      .map((s) => ({ sourceId: s.id, count: count('heading', s.id) }))
      .filter((h) => h.count > 0)
    const [words, names] = [count('text'), count('named')]
    if (words || names || headings.length)
      claims.push({
        says: 'TermsOfConcept',
        on: own.map((t) => `term:${t.id}`),
        conceptId,
        words,
        names,
        headings,
      })
  }
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
  return [claims]
}
