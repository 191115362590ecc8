import { standingOf, type OwnRulings, type Standing } from './standing'
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
  /** Its full text is looked for, or is here and not yet ruled. */
  'sought',
  /** Its full text was not to be had. */
  'not had',
  /** Ruled on its full text, and not decided. */
  'close open',
  /** Out on its full text, by one main reason. */
  'out',
  'included',
] as const
export type Place = (typeof PLACES)[number]

/** What is said of a work beside rulings. */
export interface SaidOfWork {
  settled?: Partial<Record<'broad' | 'close', Settlement>>
  retrieval?: Retrieval
}

export interface Placed {
  place: Place
  /** Why it is out or set aside. */
  reason?: string
  broad: Standing
  close: Standing
}

/** Where a work is. What is out on title and abstract stays out, whatever was said of its full text. */
export function placeOf(own: OwnRulings | undefined, said: SaidOfWork = {}): Placed {
  const broad = standingOf(own, 'broad', said.settled?.broad)
  const close = standingOf(own, 'close', said.settled?.close)
  const at = (place: Place, reason?: string): Placed => ({
    place,
    broad,
    close,
    ...(reason === undefined ? {} : { reason }),
  })
  if (broad.verdict === 'left') return at('unread')
  if (broad.verdict === 'out') return at(broad.unread ? 'removed' : 'set aside', broad.reason)
  if (broad.verdict === 'unsure') return at('open')
  if (close.verdict === 'in') return at('included')
  if (close.verdict === 'out') return at('out', close.reason)
  if (close.verdict === 'unsure') return at('close open')
  return at(said.retrieval?.state === 'not to be had' ? 'not had' : 'sought')
}
