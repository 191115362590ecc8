import { parse, referredLines, walk, type Expr } from '../query'
import type { Run } from '../review'

const STEM = /[*?].*$/

/** What a part would be known by in a query of any database: its words as they begin, names, codes, numbers of lines. */
function marksOf(e: Expr): string[] {
  const words = (text: string): string[] =>
    text
      .toLowerCase()
      .replace(STEM, '')
      .match(/[\p{L}\p{N}\p{M}]+/gu) ?? []
  return [...walk(e)].flatMap((part) => {
    if (part.kind === 'word') return words(part.text)
    if (part.kind === 'phrase') return part.words.flatMap(words)
    if (part.kind === 'heading') return words(part.label)
    if (part.kind === 'class') return words(part.code)
    return part.kind === 'line' || part.kind === 'lines' ? referredLines(part).map(String) : []
  })
}

/**
 * What became of the parts that a run was to leave out: `sent` where all that they are known by stands in what was sent,
 * `lost` where nothing of it does, `partly` else. Read from what was sent, whatever the database is said to be able to.
 */
export function leavingOut({ text, sent }: Pick<Run, 'text' | 'sent'>): ('sent' | 'lost' | 'partly')[] {
  const { tree } = parse(text)
  if (!tree) return []
  const there = sent.toLowerCase().match(/[\p{L}\p{N}\p{M}]+/gu) ?? []
  return [...walk(tree)].flatMap((e) =>
    e.kind === 'not'
      ? e.parts.slice(1).map((part) => {
          const marks = marksOf(part)
          const found = marks.filter((m) => there.some((t) => t.startsWith(m))).length
          return found === marks.length ? 'sent' : found ? 'partly' : 'lost'
        })
      : [],
  )
}
