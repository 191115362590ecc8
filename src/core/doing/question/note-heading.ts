import { foldLabel } from '../../base'
import type { Command, Term } from '../../review'
import type { HeadingPage } from '../../vocabulary'
import type { Doing } from '../doing'

/** A heading of a thesaurus that is not here, as somebody saw it there today. */
export interface HeadingSeen {
  sourceId: string
  page: Omit<HeadingPage, 'unread'>
  /** Its page in the thesaurus, somebody who knows it, or records that have it. */
  from: 'page' | 'person' | 'record'
  /** The concept that it is taken for. */
  conceptId: string
}

/**
 * Notes a heading with the day, and takes it for a concept. One that was noted before is noted once more, and what was seen of it
 * last counts; where only its name is known now (by somebody, or from records), what was seen of it stays.
 */
export const addHeadingSeen: Doing<HeadingSeen> = (
  { review, now, newId },
  { sourceId, page, from, conceptId },
) => {
  const label = page.label.trim()
  if (!label) return []
  const known = review.headingsNoted?.some(
    (h) => h.sourceId === sourceId && foldLabel(h.label) === foldLabel(label),
  )
  const { scopeNote, broader, narrower, related, usedFor } = page
  const seen = { broader, narrower, related, usedFor, ...(scopeNote ? { scopeNote } : {}) }
  const noted: Command = {
    kind: 'heading.noted',
    payload: { id: newId(), sourceId, label, ...seen, day: now.slice(0, 10), from },
  }
  const term: Term = {
    ...{ id: newId(), conceptId, sourceId, kind: 'heading', expression: label },
    ...{ withNarrower: false, mainFocus: false, origin: 'look-up', status: 'in use' },
  }
  const taken = review.terms.some(
    (t) => t.sourceId === sourceId && t.kind === 'heading' && foldLabel(t.expression) === foldLabel(label),
  )
  return [
    ...(known && from !== 'page' ? [] : [noted]),
    ...(taken ? [] : [{ kind: 'terms.set' as const, payload: { terms: [term] } }]),
  ]
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
