import { limitWords } from '../../../query'
import type { Rule } from '../advice'

/** A limit without a reason looks like convenience. */
export const limitReason: Rule = ({ context }) =>
  context.review.limits
    .filter((l) => !l.reason.trim())
    .map((l) => ({
      matter: l.id,
      message: `The limit “${limitWords(l.limit)}” has no reason.`,
      mend: { stage: 'question' as const, anchor: `limit:${l.id}`, label: 'Give its reason' },
    }))
