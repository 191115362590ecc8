import type { Rule } from '../advice'

const MOST = 40

/** Words of a sentence, each fact as one: a list of names is read at one glance, and so is what stands in brackets. */
const length = (typed: string): number =>
  typed
    .replace(/\([^)]*\)/g, ' ')
    .split(/\s+/)
    .filter((w) => /[\p{L}\p{N}▢]/u.test(w)).length

/** Of more than forty words a reader loses the thread. */
export const longSentence: Rule = ({ sentences }) =>
  sentences
    .filter((s) => length(s.typed) > MOST)
    .map((s) => ({
      matter: s.typed.slice(0, 120),
      message: `This sentence has ${length(s.typed)} words; forty are enough.`,
      passage: s.passage,
      words: s.text,
    }))
