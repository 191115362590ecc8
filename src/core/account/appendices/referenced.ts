import { unescaped, type Rec, type Reference } from '../../records'
import { text, type Inline } from '../document'
import type { Referenced } from './context'

/** A reference as a style has set it, with its italics. */
export function referenceInlines(html: string): Inline[] {
  const out: Inline[] = []
  let italic = false
  for (const part of html.split(/(<[^>]+>)/)) {
    if (part.startsWith('<')) {
      if (/^<\/?(?:i|em)\b/i.test(part)) italic = !part.startsWith('</')
      continue
    }
    const words = unescaped(part).replace(/\s+/g, ' ')
    if (words) out.push(text(words, ...(italic ? (['italic'] as const) : [])))
  }
  return out
}

/** References in the order of their style, each with the work that it is of. */
export const referencedWorks = (
  works: readonly { id: string; record: Rec }[],
  references: readonly Reference[],
  /** The notices on a work. */
  noticesOn: (id: string) => readonly Rec[],
): Referenced[] =>
  references.map((r) => {
    const { id } = works[r.at]!
    const notices = noticesOn(id).map(noticeWords)
    return { id, reference: referenceInlines(r.html), ...(notices.length ? { notices } : {}) }
  })

/** "Retraction: Babble and reading (2024)". */
export const noticeWords = ({ title, year }: Pick<Rec, 'title' | 'year'>): string =>
  `${title.trim().replace(/(?<!\.\.)\.$/, '')}${year === undefined ? '' : ` (${year})`}`
