import type { Rule } from '../advice'

/** Readers ask how old sources may be. */
export const sourceAge: Rule = ({ context, text }) =>
  context.figures.searched.length &&
  !context.review.limits.some((l) => l.limit.kind === 'years') &&
  !/\b(?:from|since|after|before|between) (?:18|19|20)\d\d\b|\bof any (?:age|year)\b|\bregardless of (?:age|year)/i.test(
    text,
  )
    ? [
        {
          matter: 'age',
          message: 'Nothing is said of how old sources may be.',
          mend: { stage: 'question', anchor: 'limits', label: 'Set years, or say that any will do' },
        },
      ]
    : []
