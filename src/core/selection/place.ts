import { standingOf, type OwnRulings, type RulingRules, type Standing } from './standing'
import type { Retrieval, Settlement } from '../review'

/** Where a work is on its way from found to included; it is always at exactly one place. */
export const PLACES = [
  /** Nobody has ruled it on title and abstract. */
  'unread',
  /** Out before anybody read it, with others, by what a filter found. */
  'removed',
  /** Out on title and abstract. */
  'set aside',
  /** Ruled on title and abstract, and not decided. */
  'open',
  /** Ruled differently on title and abstract, and to be settled before it goes on or out. */
  'to settle',
  /** Its full text is to be sought, and nobody has looked for it yet. */
  'to be sought',
  /** Its full text is looked for, or is here and not yet ruled. */
  'sought',
  /** Its full text was not to be had. */
  'not had',
  /** Ruled on its full text, and not decided. */
  'close open',
  /** Ruled differently on its full text, and to be settled before it is in or out. */
  'close to settle',
  /** Out on its full text, by one main reason. */
  'out',
  'included',
] as const
export type Place = (typeof PLACES)[number]

/** Where a work is that passed titles and abstracts. */
export const PASSED: readonly Place[] = [
  'to be sought',
  'sought',
  'not had',
  'close open',
  'close to settle',
  'out',
  'included',
]
/** Where a work is that was ruled on its full text. */
export const ON_FULL_TEXT: ReadonlySet<Place> = new Set(['close open', 'close to settle', 'out', 'included'])

/** Where a work is that was ruled on title and abstract, and did not go out with others unread. */
export const SCREENED: ReadonlySet<Place> = new Set([...PASSED, 'set aside', 'open', 'to settle'])

/** Is this what is noted of a text that one has? */
export const isHad = (state: Retrieval['state'] | undefined): boolean =>
  state === 'open copy' || state === 'subscription' || state === 'have'

/** What is said of a work beside rulings. */
export interface SaidOfWork {
  settled?: Partial<Record<'broad' | 'close', Settlement>>
  retrieval?: Retrieval
  /** It is a notice (a retraction, a correction) on this work, by its id: it is no work to be read. */
  noticeOf?: string
  /** Works, by id, that are notices on this one. */
  notices?: readonly string[]
}

/** The reason for which a notice is not read. */
export const NOTICE = 'notice'

export interface Placed {
  place: Place
  /** Why it is out or set aside. */
  reason?: string
  /** It was ruled on its full text, and none is noted as had. */
  noText?: true
  /** It is included, and a notice on it is among the records. */
  noticed?: true
  broad: Standing
  close: Standing
}

/** Where a work is. What is out on title and abstract stays out, whatever was said of its full text. */
export function placeOf(
  own: OwnRulings | undefined,
  said: SaidOfWork | undefined,
  rules: RulingRules,
): Placed {
  const broad = standingOf(own, 'broad', said?.settled?.broad, rules)
  const close = standingOf(own, 'close', said?.settled?.close, rules)
  const state = said?.retrieval?.state
  const at = (place: Place, reason?: string): Placed => ({
    place,
    broad,
    close,
    ...(reason === undefined ? {} : { reason }),
    ...(ON_FULL_TEXT.has(place) && !isHad(state) ? { noText: true } : {}),
    ...(place === 'included' && said?.notices ? { noticed: true } : {}),
  })
  if (said?.noticeOf !== undefined) return at('removed', NOTICE)
  if (broad.verdict === 'left') return at('unread')
  if (broad.verdict === 'out') return at(broad.unread ? 'removed' : 'set aside', broad.reason)
  if (broad.verdict === 'unsure') return at('open')
  if (broad.verdict === 'to settle') return at('to settle')
  if (close.verdict === 'in') return at('included')
  if (close.verdict === 'out') return at('out', close.reason)
  if (close.verdict === 'unsure') return at('close open')
  if (close.verdict === 'to settle') return at('close to settle')
  return at(state === undefined ? 'to be sought' : state === 'not to be had' ? 'not had' : 'sought')
}
