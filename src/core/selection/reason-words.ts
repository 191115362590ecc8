import type { Review } from '../review'
import { NOTICE } from './place'
import { shortReason } from './reasons-given'
import { DIFFER } from './standing'

/** A reason as it is told: the statement of a question, the question where it has none, or words that were given. */
export function reasonWords(review: Pick<Review, 'criteria' | 'criteriaVersions'>, reason: string): string {
  if (reason === 'none') return 'without a reason'
  if (reason === DIFFER) return 'reasons differ'
  if (reason === NOTICE) return 'notice on another work'
  if (reason.startsWith('words:')) return reason.slice('words:'.length)
  const question =
    review.criteria.find((c) => c.id === reason) ??
    review.criteriaVersions?.flatMap((v) => v.criteria).find((c) => c.id === reason)
  return (question && shortReason(question)) || 'a question that was taken away'
}
