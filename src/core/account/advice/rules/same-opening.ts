import { areNeighbours } from '../look'
import type { Rule } from '../advice'

const opening = (text: string): string => /^[^\s,;:]+/.exec(text)?.[0].toLowerCase() ?? ''

/** Two sentences in a row begin with the same word. */
export const sameOpening: Rule = ({ sentences }) =>
  sentences.flatMap((s, i) => {
    const before = sentences[i - 1]
    const same =
      before !== undefined &&
      areNeighbours(before, s) &&
      opening(before.text) === opening(s.text) &&
      opening(s.text) !== ''
    return same && (s.edited || before.edited)
      ? [
          {
            matter: `${opening(s.text)} ${s.typed.slice(0, 80)}`,
            message: `Two sentences in a row begin with “${s.text.split(/\s/)[0]}”.`,
            passage: s.passage,
            words: s.text,
          },
        ]
      : []
  })
