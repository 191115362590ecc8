import { termsInUse } from '../../../review'
import type { Rule } from '../advice'

const FEW = 6
const MANY = 18
const bare = (expression: string): string =>
  expression
    .replace(/["*?$#]/g, '')
    .trim()
    .toLowerCase()

/** Six to twelve terms give a reader an idea, eighteen at most; the rest belongs to an appendix. */
export const termCount: Rule = ({ context, text, sentences, short }) => {
  const all = [...new Set(termsInUse(context.review).map((t) => bare(t.expression)))].filter(Boolean)
  const lower = text.toLowerCase().replace(/["*?$#]/g, '')
  // Concepts and headings of parts use such words too: terms are counted where they are listed.
  const listed = sentences.filter((s) => {
    const own = s.text.toLowerCase().replace(/["*?$#]/g, '')
    return all.filter((t) => own.includes(t)).length > 2
  })
  const told = all.filter((t) =>
    listed.some((s) =>
      s.text
        .toLowerCase()
        .replace(/["*?$#]/g, '')
        .includes(t),
    ),
  )
  if (told.length > MANY)
    return [
      {
        matter: 'many',
        message: `The running text names ${told.length} terms: more than ${MANY} are a list.`,
        ...(listed[0] ? { passage: listed[0].passage, words: listed[0].text } : {}),
      },
    ]
  if (!short && lower && told.length < FEW && all.length >= FEW && context.figures.searched.length)
    return [
      {
        matter: 'few',
        message: `The running text names ${told.length} of ${all.length} terms: six give an idea.`,
      },
    ]
  return []
}
