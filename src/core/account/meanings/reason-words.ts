import type { Deeds } from './deeds'

/** A question is told as it is asked, where it has no statement of its own. */
export function reasonWords(deeds: Deeds, reason: string): string {
  if (!reason.startsWith('question:')) return reason || 'no reason noted'
  const question = deeds.of('criterion.set').findLast((q) => `question:${q.id as string}` === reason)
  return question ? `“${(question.text as string).trim()}”` : 'a question that was taken away'
}
