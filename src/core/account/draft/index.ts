import { PASSAGES, paragraph, type Paragraph, type Passage, type PassageId } from '../document'
import type { FactContext } from '../facts'
import { question } from './question'
import { records } from './records'
import { searches } from './searches'
import { selection } from './selection'
import { sources } from './sources'
import { speaker, type Say } from './say'
import { terms } from './terms'

const DRAFT: Record<PassageId, (c: FactContext, say: Say) => string[]> = {
  question,
  sources,
  terms,
  searches,
  records,
  selection,
}

/**
 * The account as the record has it: every passage drafted from the review, except those that the person has edited.
 * A passage about which nothing is known yet has no paragraphs. Planned, set and run are different facts: a sentence
 * tells as done only what a run, an import or a ruling shows.
 */
export function draftAccount(context: FactContext): Passage[] {
  const { account } = context.review
  const say = speaker(account.voice)
  return PASSAGES.map(({ id, titles }) => {
    const title = titles[account.voice]
    const edited = account.edited[id]
    if (edited) return { id, title, edited: true, content: edited as unknown as Paragraph[] }
    return { id, title, edited: false, content: DRAFT[id](context, say).filter(Boolean).map(paragraph) }
  })
}
