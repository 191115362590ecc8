import { isInline, type Inline, type Passage, type PassageId } from '../document'
import { inlineWords, type FactContext } from '../facts'

/** A sentence as it reads. */
export interface Sentence {
  passage: PassageId
  /** The person has changed the part it stands in. */
  edited: boolean
  text: string
  /** What was typed of it: its text without the words of facts, each of which is `▢`. */
  typed: string
  /** What it is read on within: the running text, a note or a cell. Sentences of different ones are no neighbours. */
  within: string
}

/** Are they read one after the other? */
export const areNeighbours = (a: Sentence, b: Sentence): boolean =>
  a.passage === b.passage && a.within === b.within

/** What rules look at: the section as it stands, and the record. */
export interface Look {
  context: FactContext
  passages: readonly Passage[]
  sentences: readonly Sentence[]
  /** The whole text. */
  text: string
  short: boolean
}

/** Stands for a fact in what was typed. */
export const FACT_SIGN = '▢'

const NO_END = /(?:\b(?:e\.g|i\.e|cf|vs|etc|No|pp?|vol|ed|eds|Dr)|(?<!Appendix )\b\p{Lu})\.$/u

/** A text as sentences: they end in a stop before a capital, but not after an abbreviation. */
export function sentencesOf(text: string): string[] {
  const parts = text.split(/(?<=[.?!]["”’)]?)\s+(?=["“‘(]?[\p{Lu}▢])/u)
  const out: string[] = []
  for (const part of parts) {
    const last = out.at(-1)
    if (last !== undefined && NO_END.test(last)) out[out.length - 1] = `${last} ${part}`
    else out.push(part)
  }
  return out.map((s) => s.trim()).filter(Boolean)
}

/** Everything that rules look at. */
export function lookAt(context: FactContext, passages: readonly Passage[]): Look {
  const sentences = passages.flatMap((p) =>
    linesOf(p.content).flatMap(({ within, inlines }) => lineSentences(context, p, within, inlines)),
  )
  return {
    context,
    passages,
    sentences,
    text: sentences.map((s) => s.text).join(' '),
    short: context.review.account.length === 'short',
  }
}

interface LineOfText {
  within: string
  inlines: readonly Inline[]
}

/** Parts of a table that the editor has: no running text. */
const OF_TABLES: ReadonlySet<string | undefined> = new Set(['tableCaption', 'tableCell', 'tableHeader'])

/** Whatever is read in one go: paragraphs, headings and points of a list, then each cell, then each note at the foot. */
function linesOf(content: readonly unknown[]): LineOfText[] {
  const running: LineOfText[] = []
  const cells: LineOfText[] = []
  const notes: LineOfText[] = []
  const walk = (node: unknown, inCell: boolean): void => {
    if (typeof node !== 'object' || node === null) return
    const { type, content: inner = [] } = node as { type?: string; content?: unknown[] }
    const inlines = inner.filter((n): n is Inline => isInline((n as { type?: string } | null)?.type))
    if (inlines.length && inCell) cells.push({ within: `cell ${cells.length}`, inlines })
    else if (inlines.length) running.push({ within: 'text', inlines })
    for (const node of inlines)
      if (node.type === 'footnote')
        notes.push({
          within: `note ${notes.length}`,
          inlines: [{ type: 'text', text: node.attrs.words }],
        })
    for (const child of inner) walk(child, inCell || OF_TABLES.has(type))
  }
  for (const block of content) walk(block, false)
  return [...running, ...cells, ...notes]
}

/** Sentences of one line: they are told apart by what reads, and what was typed follows. */
function lineSentences(
  context: FactContext,
  { id, edited }: Passage,
  within: string,
  inlines: readonly Inline[],
): Sentence[] {
  let text = ''
  // For each character of the text: was it typed?
  const typed: boolean[] = []
  for (const node of inlines) {
    const words = inlineWords(context, node)
    text += words
    for (let i = 0; i < words.length; i++) typed.push(node.type === 'text')
  }
  let at = 0
  return sentencesOf(text).map((sentence) => {
    const start = text.indexOf(sentence, at)
    at = start + sentence.length
    let own = ''
    for (let i = start; i < at; i++)
      if (typed[i]) own += text[i]
      else if (!own.endsWith(FACT_SIGN)) own += FACT_SIGN
    return { passage: id, edited, text: sentence, typed: own, within }
  })
}
