import type { Rule } from '../advice'

const DIFFICULT =
  /\b(?:difficult(?:y|ies)?|problem(?:s|atic)?|could not|were unable|was unable|impossible|failed to|did not succeed)\b/i
const REASON = /\b(?:because|since|as|for|due to|owing to|so that|therefore|which meant|who)\b|[:;]/i

/** A difficulty is believed when its reason stands beside it. */
export const difficulty: Rule = ({ sentences }) =>
  sentences
    .filter((s) => DIFFICULT.test(s.typed) && !REASON.test(s.typed))
    .map((s) => ({
      matter: s.typed.slice(0, 120),
      message: 'A difficulty is named here without its reason.',
      passage: s.passage,
      words: s.text,
    }))
