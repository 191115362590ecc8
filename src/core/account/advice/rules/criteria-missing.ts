import type { Rule } from '../advice'

/** Works were ruled on by no written question. */
export const criteriaMissing: Rule = ({ context: { review, figures } }) =>
  figures.broad.in + figures.broad.out > 0 && !review.criteria.some((c) => c.text.trim())
    ? [
        {
          matter: 'criteria',
          message: 'Works were ruled in and out, but no criteria are written down.',
          mend: { stage: 'question', anchor: 'criteria', label: 'Write them down' },
        },
      ]
    : []
