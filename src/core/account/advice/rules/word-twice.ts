import { areNeighbours, FACT_SIGN } from '../look'
import type { Rule } from '../advice'

// What a methods section cannot do without, in all its forms.
const TRADE =
  /^(?:search|record|work|database|source|term|word|heading|thesaur|title|abstract|keyword|concept|review|read|appendi|strateg|limit|language|stud|result|reference|journal|article|question|where|which|there|these|those|their|other|being|after|before|between|first|second|third|further|again|while|since|because|about|include|index|joined|with|from|until|through|every|table|figure|april|march|november|january|february|august|september|october|december)/

const stem = (word: string): string => word.replace(/(?:ies|es|s|ed|ing|ly)$/, '')

/** The content words of what was typed, small words and names left out. */
const contentWords = (typed: string): string[] =>
  typed
    .replace(/[“"][^”"]*[”"]/g, ' ')
    .split(/[^\p{L}’'-]+/u)
    .filter((w, i) => w.length >= 6 && (i === 0 || /^\p{Ll}/u.test(w)))
    .map((w) => w.toLowerCase())
    .filter((w) => !TRADE.test(w))

/** A content word twice in a sentence or its neighbour, where another would do. */
export const wordTwice: Rule = ({ sentences }) =>
  sentences.flatMap((s, i) => {
    if (!s.edited) return []
    const own = contentWords(s.typed.replaceAll(FACT_SIGN, ' '))
    const before = sentences[i - 1]
    const near =
      before && areNeighbours(before, s)
        ? contentWords(before.typed.replaceAll(FACT_SIGN, ' ')).map(stem)
        : []
    const twice = own.find(
      (w, n) => own.slice(0, n).some((o) => stem(o) === stem(w)) || near.includes(stem(w)),
    )
    return twice
      ? [
          {
            matter: `${twice} ${s.typed.slice(0, 80)}`,
            message: `“${twice}” stands here for the second time within two sentences.`,
            passage: s.passage,
            words: s.text,
          },
        ]
      : []
  })
