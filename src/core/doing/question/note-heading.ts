import { foldLabel } from '../../base'
import type { HeadingPage } from '../../vocabulary'
import type { Doing } from '../doing'

/** A heading of a thesaurus that is not here, as somebody saw it there today. */
export interface HeadingSeen {
  sourceId: string
  page: Omit<HeadingPage, 'unread'>
  from: 'page' | 'person'
}

/**
 * Notes a heading with the day. One that was noted before is noted anew; where only its name is known now, what was seen of it
 * stays.
 */
export const addHeadingSeen: Doing<HeadingSeen> = ({ review, now }, { sourceId, page, from }) => {
  const label = page.label.trim()
  const id = `noted:${sourceId}/${foldLabel(label)}`
  const known = review.headingsNoted?.some((h) => h.id === id) ?? false
  if (!label || (known && from === 'person')) return []
  const { scopeNote, broader, narrower, related, usedFor } = page
  const seen = { broader, narrower, related, usedFor, ...(scopeNote ? { scopeNote } : {}) }
  return [{ kind: 'heading.noted', payload: { id, sourceId, label, ...seen, day: now.slice(0, 10), from } }]
}

/** Notes that words were looked up in the thesaurus of a source and are no heading there. */
export const logLookUp: Doing<{ sourceId: string; words: string }> = (
  { review, now, newId },
  { sourceId, words },
) => {
  const said = words.trim()
  const known = review.lookups?.some(
    (l) => l.sourceId === sourceId && foldLabel(l.words) === foldLabel(said) && l.day === now.slice(0, 10),
  )
  if (!said || known) return []
  return [
    {
      kind: 'lookup.log',
      payload: { id: newId(), what: 'heading', sourceId, words: said, day: now.slice(0, 10) },
    },
  ]
}
