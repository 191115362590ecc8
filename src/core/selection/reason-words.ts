import type { Review } from '../review'

/** A reason as it is told: the words of a question, or those that were given. */
export function reasonWords(review: Pick<Review, 'criteria' | 'criteriaVersions'>, reason: string): string {
  if (reason === 'none') return 'without a reason'
  if (reason.startsWith('words:')) return reason.slice('words:'.length)
  const question =
    review.criteria.find((c) => c.id === reason) ??
    review.criteriaVersions?.flatMap((v) => v.criteria).find((c) => c.id === reason)
  return question?.text.trim() || 'a question that was taken away'
}
