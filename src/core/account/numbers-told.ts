import { inlinesOf, type Paragraph, type Passage } from './document'
import { table1 } from './documents/table-1'
import type { Cell } from './documents/tree'
import { inlineWords, resolveFact, type FactContext, type Stage } from './facts'
import { sentenceStarts } from './sentences'

/** A number that the section tells. */
export interface NumberTold {
  ref: string
  /** As it reads now: "213", "two of 498 works". */
  text: string
  /** What it counts and where it comes from, in words. */
  from: string
  stage: Stage
  anchor?: string
  /** The part of the section and the sentence in which it is told. */
  part: string
  sentence: string
}

const HAS_NUMBER = /\d|\b(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|none|all|both)\b/i

/** Every fact with a number in it that the section tells, in its sentences and in Table 1, in their order. */
export const numbersTold = (context: FactContext, passages: readonly Passage[]): NumberTold[] => [
  ...passages.flatMap(({ title, content }) => content.flatMap((block) => inSentences(context, title, block))),
  ...inTable(context),
]

function inSentences(context: FactContext, part: string, block: Paragraph): NumberTold[] {
  const found: { ref: string; at: number; end: number }[] = []
  let text = ''
  for (const node of inlinesOf(block)) {
    const words = inlineWords(context, node)
    if (node.type === 'fact')
      found.push({ ref: node.attrs.ref, at: text.length, end: text.length + words.length })
    text += words
  }
  // What is quoted from the record may have stops of its own.
  const starts = sentenceStarts(text).filter((at) => !found.some((f) => f.at < at && at <= f.end))
  const parts = [0, ...starts, text.length]
  return found.flatMap(({ ref, at }) => {
    const n = parts.findIndex((end, i) => i > 0 && at < end)
    return told(context, ref, part, text.slice(parts[n - 1], parts[n]).trim())
  })
}

/** In Table 1 a cell is told with its row and its column. */
function inTable(context: FactContext): NumberTold[] {
  const table = table1(context)
  const words = (cell: Cell | undefined): string =>
    (cell ?? []).map((node) => inlineWords(context, node)).join('')
  return (table?.rows ?? []).flatMap((row) =>
    row.flatMap((cell, column) =>
      cell.flatMap((node) =>
        node.type === 'fact'
          ? told(
              context,
              node.attrs.ref,
              'Table 1',
              `${words(row[0])}, ${table!.head[column]!.toLowerCase()}: ${words(cell)}`,
            )
          : [],
      ),
    ),
  )
}

function told(context: FactContext, ref: string, part: string, sentence: string): NumberTold[] {
  const { text, from, stage, anchor, missing } = resolveFact(context, ref)
  if (missing || !HAS_NUMBER.test(text)) return []
  return [{ ref, text, from, stage, ...(anchor === undefined ? {} : { anchor }), part, sentence }]
}
