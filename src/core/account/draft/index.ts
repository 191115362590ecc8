import { selectClaims } from '../claims'
import { PASSAGES, paragraph, type Paragraph, type Passage } from '../document'
import type { FactContext } from '../facts'
import { sentenceOf } from './sentence'
import { speaker } from './say'

/**
 * The account as the record has it: every passage drafted from the review, except those that the person has edited. First
 * it is found what there is to say, then it is said, in the voice that was chosen. A passage about which nothing is known
 * yet has no paragraphs.
 */
export function draftAccount(context: FactContext): Passage[] {
  const { account } = context.review
  const say = speaker(account.voice)
  return PASSAGES.map(({ id, titles }) => {
    const title = titles[account.voice]
    const edited = account.edited[id]
    if (edited) return { id, title, edited: true, content: edited as unknown as Paragraph[] }
    const paragraphs = selectClaims(context, id).map((claims) =>
      claims.map((claim) => sentenceOf(claim, context, say)).join(' '),
    )
    return { id, title, edited: false, content: paragraphs.map(paragraph) }
  })
}
