import type { Rule } from '../advice'

/** A filter or an earlier strategy that was taken over is named in the text. */
export const filterUnnamed: Rule = ({ context: { review }, text }) =>
  review.sources.flatMap((s) =>
    (review.strategies[s.id] ?? [])
      .filter(
        (l) => !l.takenOver && /\bfilter\b|\bhedge\b|taken over|earlier strategy|adapted from/i.test(l.note),
      )
      .filter(() => !/\bfilters?\b|\bhedge\b|earlier strateg|taken over|adapted/i.test(text))
      .map((l) => ({
        matter: `${s.id} ${l.id}`,
        message: `A line in ${s.name} takes over a filter or an earlier strategy (“${l.note.trim()}”), and the text does not name it.`,
        mend: { stage: 'searches' as const, anchor: `line:${l.id}`, label: 'Look at the line' },
      })),
  )
