import type { Rule } from '../advice'

/** Whoever answered is cited as a personal communication. */
export const peopleCited: Rule = ({ context, text, short }) =>
  short
    ? []
    : (context.review.contacts ?? [])
        .filter((c) => c.answered && c.who.trim() && !text.includes(c.who.trim()))
        .map((c) => ({
          matter: c.id,
          message: `${c.who} answered, and is not cited (personal communication).`,
          mend: { stage: 'selection' as const, label: 'Look at who was asked' },
        }))
