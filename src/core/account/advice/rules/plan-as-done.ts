import type { Rule } from '../advice'

const DONE = /\b(?:searched|was run|were run|was asked|were asked|looked through)\b/i
const PLANNED = /\b(?:plan|planned|to be|still|not yet|will)\b/i

/** A database in which nothing was run is told as searched. */
export const planAsDone: Rule = ({ context: { review, figures, source }, sentences }) =>
  review.sources
    .filter((s) => s.kind === 'database' && !figures.searched.includes(s.id))
    .flatMap((s) => {
      const names = [s.name, source(s.id)?.short].filter((n): n is string => Boolean(n))
      return sentences
        .filter((x) => DONE.test(x.text) && !PLANNED.test(x.text) && names.some((n) => x.text.includes(n)))
        .slice(0, 1)
        .map((x) => ({
          matter: s.id,
          message: `${s.name} is told as searched; nothing was run there.`,
          passage: x.passage,
          words: x.text,
          mend: { stage: 'searches' as const, anchor: `source:${s.id}`, label: 'Run its strategy' },
        }))
    })
