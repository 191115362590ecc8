import { keptFor } from '../base'
import { inlinesOf, type Inline, type Passage } from './document'
import { draftAccount } from './draft'
import { inlineWords, type FactContext } from './facts'
import { READS } from './reads/en'
import { sentencesIn } from './sentences'
import type { SayingName } from './sayings'

/** A sentence of the draft, with the passage to which it belongs, and whether the text as it stands says it. */
export interface ToldInText {
  /** What it tells, and of which part of the review where there are several. */
  tells: SayingName
  of: readonly string[]
  passage: Passage['id']
  content: readonly Inline[]
  said: boolean
}

/** The section as it stands; absent: as it is drafted and edited in the review. */
interface Section {
  passages?: readonly Passage[] | undefined
}

const wordsOf = (context: FactContext, content: readonly Inline[]): string =>
  content
    .map((n) => inlineWords(context, n))
    .join('')
    .replace(/\s+/g, ' ')
    .trim()

/**
 * Everything that the record has to tell, and whether the section says it: a passage that nobody edited says all of it; one
 * that was edited says a sentence that still stands in it word for word, or in words by which the same is read.
 */
export const toldInText = keptFor((context: FactContext & Section): ToldInText[] => {
  const { passages = draftAccount(context) } = context
  return passages.flatMap(({ id, edited, content, drafted }) => {
    const text = edited ? content.map((p) => wordsOf(context, [...inlinesOf(p)])).join(' ') : ''
    const sentences = sentencesIn(text)
    return drafted.map(({ tells, of, content: own }): ToldInText => {
      const words = wordsOf(context, own)
      const reads = READS[tells]
      const meant = JSON.stringify(reads(words))
      const said =
        !edited ||
        text.includes(words) ||
        (meant !== undefined && sentences.some((s) => JSON.stringify(reads(s)) === meant))
      return { tells, of, passage: id, content: own, said }
    })
  })
})
