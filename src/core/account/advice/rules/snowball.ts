import type { Rule } from '../advice'

/** The word says neither which way nor how often. */
export const snowball: Rule = ({ sentences, text }) =>
  /snowball/i.test(text) && !/reference lists?|works? cited|cited by|citing/i.test(text)
    ? sentences
        .filter((s) => /snowball/i.test(s.text))
        .slice(0, 1)
        .map((s) => ({
          matter: 'snowball',
          message:
            '“Snowball” is not explained: were reference lists read, citing papers followed, and how many steps?',
          passage: s.passage,
          words: s.text,
        }))
    : []
