/** One way to take an example apart: what stands before and behind what is looked for. */
export interface Split {
  readonly before: string
  readonly content: string
  readonly after: string
}

const LETTERS = /[\p{L}\p{N}]/u
const SPANS = [
  // A phrase in quotes, several words in brackets (round one word they belong to the form), a run of words, one word.
  /"[^"]+"|'[^']+'|«[^»]+»|“[^”]+”/gu,
  /\([^()\s]+\s[^()]*\)/gu,
  /[\p{L}\p{N}]+(?: [\p{L}\p{N}]+)*/gu,
  /[\p{L}\p{N}]+/gu,
]

/** All ways to take an example apart so that a code of one word at most stands beside its content. */
export function splitsOf(text: string): Split[] {
  const found = new Map<string, Split>()
  for (const span of SPANS)
    for (const match of text.matchAll(span)) {
      const before = text.slice(0, match.index)
      const after = text.slice(match.index + match[0].length)
      const coded = [before, after].filter((side) => LETTERS.test(side))
      if (!before.trim() && !after.trim()) continue
      if (coded.length > 1) continue
      const words = (coded[0]?.match(/[\p{L}\p{N}]+/gu) ?? []).length
      if (words > 6) continue
      found.set(`${before}\n${after}`, { before, content: match[0], after })
    }
  return [...found.values()]
}

/** The signs of a split without the letters of its code: what all codes of a database have in common. */
export const shapeOf = ({ before, after }: Split): string =>
  `${before.replace(/[\p{L}\p{N}]+/gu, 'x')}\n${after.replace(/[\p{L}\p{N}]+/gu, 'x')}`

/** The letters of the code of a split. */
export const codeIn = ({ before, after }: Split): string =>
  (/[\p{L}\p{N}][\p{L}\p{N} ]*/u.exec(before) ?? /[\p{L}\p{N}][\p{L}\p{N} ]*/u.exec(after))?.[0].trim() ?? ''
