import type { CommandOf, Contact, Quote, WayLogged, WebPage } from '../../review'
import type { Doing } from '../doing'

/** Keeps words of a full text, with the page on which they stand. */
export const keepQuote: Doing<{ recordId: string; text: string; page: string }> = (
  { newId },
  { recordId, text, page },
) =>
  text.trim()
    ? [{ kind: 'quote.set', payload: { id: newId(), recordId, text: text.trim(), page: page.trim() } }]
    : []

export const dropQuote: Doing<Pick<Quote, 'id'>> = (_at, { id }) => [
  { kind: 'quote.remove', payload: { id } },
]

/** A person who was asked: a row to fill in. */
export const addContact: Doing<{ sourceId: string }> = ({ newId }, { sourceId }) => [
  { kind: 'contact.set', payload: { id: newId(), sourceId, who: '', way: '', what: '' } },
]

/** One of the days of an asking; an empty one takes it away. */
export const dayContact: Doing<{ contact: Contact; of: 'asked' | 'answered'; day: string }> = (
  _at,
  { contact, of, day },
) => {
  const { [of]: _, ...others } = contact
  return [{ kind: 'contact.set', payload: { ...others, ...(day ? { [of]: day } : {}) } }]
}

export const dropContact: Doing<Pick<Contact, 'id'>> = (_at, { id }) => [
  { kind: 'contact.remove', payload: { id } },
]

/** A page that was seen: a row to fill in. */
export const addPage: Doing<{ sourceId: string }> = ({ newId }, { sourceId }) => [
  {
    kind: 'page.set',
    payload: {
      id: newId(),
      sourceId,
      address: '',
      title: '',
      searched: '',
      publisher: '',
      dated: '',
      evidence: '',
      purpose: '',
    },
  },
]

export const dayPage: Doing<{ page: WebPage; day: string }> = (_at, { page, day }) => {
  const { seen: _, ...others } = page
  return [{ kind: 'page.set', payload: { ...others, ...(day ? { seen: day } : {}) } }]
}

/** A saved copy of a page, which lies beside the journal already. */
export const keepPage: Doing<{ page: WebPage; copy: NonNullable<WebPage['copy']> }> = (
  _at,
  { page, copy },
) => [{ kind: 'page.set', payload: { ...page, copy } }]

export const dropPage: Doing<Pick<WebPage, 'id'>> = (_at, { id }) => [
  { kind: 'page.remove', payload: { id } },
]

/** Logs that a way was gone, once a time: what was looked through, and what came of it. Numbers that nobody counted are absent. */
export const logWay: Doing<Omit<WayLogged, 'id'>> = ({ newId }, way) => [
  { kind: 'way.log', payload: { ...way, id: newId() } },
]

/** Notes that references were followed from works, and gave nothing new. */
export const noteStep: Doing<CommandOf<'step.follow'>['payload']> = (_at, payload) => [
  { kind: 'step.follow', payload },
]
