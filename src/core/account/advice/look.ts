import type { Inline, Passage, PassageId } from '../document'
import { inlinesOf } from '../document'
import { inlineWords, type FactContext } from '../facts'

/** A sentence as it reads. */
export interface Sentence {
  passage: PassageId
  /** The person has changed the part it stands in. */
  edited: boolean
  text: string
  /** What was typed of it: its text without the words of facts, each of which is `▢`. */
  typed: string
}

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
    p.content.flatMap((block) => paragraphSentences(context, p, [...inlinesOf(block)])),
  )
  return {
    context,
    passages,
    sentences,
    text: sentences.map((s) => s.text).join(' '),
    short: context.review.account.length === 'short',
  }
}

/** Sentences of one paragraph: they are told apart by what reads, and what was typed follows. */
function paragraphSentences(
  context: FactContext,
  { id, edited }: Passage,
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
    return { passage: id, edited, text: sentence, typed: own }
  })
}
