import type { Rule } from '../advice'

// Signs of the trade, and what nobody spells out.
const KNOWN = new Set(
  'AND OR NOT NEAR ALL ANY DOI ISBN ISSN PDF URL APA PRISMA PRESS CSV RIS UK US EU USA UNESCO OECD'.split(
    ' ',
  ),
)

/** An abbreviation is spelled out once: "(ABC)" behind its words, or its words in brackets behind it. */
export const abbreviation: Rule = ({ sentences, text }) => {
  const seen = new Set<string>()
  return sentences.flatMap((s) =>
    [...s.typed.matchAll(/(?<![\w-])\p{Lu}{2,6}s?(?![\w-])/gu)].flatMap(([word]) => {
      const short = word.replace(/s$/, '')
      if (seen.has(short) || KNOWN.has(short) || /^[IVXLC]+$/.test(short)) return []
      seen.add(short)
      const spelled = new RegExp(`\\(${short}s?[);,]|\\b${short}s? \\((?=\\p{L})`, 'u').test(text)
      return spelled
        ? []
        : [
            {
              matter: short,
              message: `The abbreviation ${short} is never spelled out.`,
              passage: s.passage,
              words: s.text,
            },
          ]
    }),
  )
}
