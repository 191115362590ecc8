import { heldValues } from '../base'
import { questionsOf, type PassName, type Review, type Ruled } from '../review'

/** A main reason that can be chosen: a question by its id, or words. */
export interface ReasonOffered {
  criterionId?: string
  reason?: string
  /** As it is told. */
  words: string
  /** How often it was given in this pass. */
  given: number
}

/** The reason that a question gives for setting a work aside: its statement, or where it has none, the question. */
export const shortReason = ({ short, text }: { short?: string | undefined; text: string }): string =>
  short?.trim() || text.trim()

/**
 * The main reasons that can be given in a pass: its own questions, then those of the other pass, then words that were given
 * before, the most frequent first. What was typed once need not be typed again.
 */
export function reasonsOffered(review: Review, ruled: Ruled, pass: PassName): ReasonOffered[] {
  const byQuestion = new Map<string, number>()
  const byWords = new Map<string, number>()
  const more = (of: Map<string, number>, key: string): void => {
    of.set(key, (of.get(key) ?? 0) + 1)
  }
  for (const own of heldValues(ruled.byWork))
    for (const r of Object.values(own)) {
      if (r.pass !== pass || r.verdict !== 'out' || r.unread) continue
      if (r.criterionId) more(byQuestion, r.criterionId)
      else if (r.reason?.trim()) more(byWords, r.reason.trim())
    }
  const other = pass === 'broad' ? 'close' : 'broad'
  const questions = [...questionsOf(review, pass), ...questionsOf(review, other)]
  const words = [...byWords].sort(([a, n], [b, m]) => m - n || (a < b ? -1 : 1))
  return [
    ...questions.map((c): ReasonOffered => ({
      criterionId: c.id,
      words: shortReason(c),
      given: byQuestion.get(c.id) ?? 0,
    })),
    ...words.map(([reason, given]): ReasonOffered => ({ reason, words: reason, given })),
  ]
}
