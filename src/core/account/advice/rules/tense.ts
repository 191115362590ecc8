import type { Rule } from '../advice'

const PRESENT =
  /\b(?:we|I) (?:search|use|limit|include|exclude|ask|follow|screen|select|keep|choose|combine|restrict|apply|identify|remove)\b/i

/** What was done is told in the past; what is still to be done is told as a plan. */
export const tense: Rule = ({ sentences }) =>
  sentences
    .filter((s) => PRESENT.test(s.typed) && !/\bplan(?:ned)? to\b/i.test(s.typed))
    .map((s) => ({
      matter: s.typed.slice(0, 120),
      message: 'This sentence tells in the present what the others tell in the past.',
      passage: s.passage,
      words: s.text,
    }))
