import type { Rule } from '../advice'

/** A page is believed for a reason: who publishes it, and what it rests on. */
export const webCredibility: Rule = ({ context: { review } }) =>
  (review.pages ?? [])
    .filter((p) => p.seen && (!p.publisher.trim() || !p.evidence.trim()))
    .map((p) => ({
      matter: p.id,
      message: `Of the page “${p.title || p.address}” it is not noted ${p.publisher.trim() ? 'what it rests on' : 'who publishes it'}.`,
      mend: { stage: 'selection' as const, label: 'Fill in its form' },
    }))
