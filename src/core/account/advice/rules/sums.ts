import type { Rule } from '../advice'

const number = (words: string): number => Number(words.replace(/,/g, ''))

/** A part that is greater than its whole; and a flow that does not add up. */
export const sums: Rule = ({ sentences, context }) => [
  ...sentences.flatMap((s) =>
    [...s.text.matchAll(/\b(\d[\d,]*) of (?:the |these |all )?(\d[\d,]*)\b(?!\s*%)/g)]
      .filter(([, part, whole]) => number(part!) > number(whole!))
      .map(([said]) => ({
        matter: said,
        message: `“${said}” does not add up: the part is greater than the whole.`,
        passage: s.passage,
        words: s.text,
      })),
  ),
  ...(context.figures.lostRulings
    ? [
        {
          matter: 'lost',
          message: `${context.figures.lostRulings} rulings belong to no record that stands, and are counted nowhere.`,
          mend: { stage: 'records' as const, label: 'Look at the imports' },
        },
      ]
    : []),
]
