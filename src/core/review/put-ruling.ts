import { held, hold } from '../base'
import type { FirstRuling, Review, Ruling } from './values'

/** Puts what was said of a record in its place, under its pass and person; changes the review. */
export function putRuling({ rulings }: Review, key: string, ruling: Ruling): void {
  const own = held(rulings, ruling.recordId)
  if (own) own[key] = ruling
  else hold(rulings, ruling.recordId, { [key]: ruling })
}

/** What a reader said first, of what they said of one work so far; what nobody read says nothing. Undefined: nothing yet. */
export function firstOf(before: readonly (Ruling | undefined)[]): FirstRuling | undefined {
  return before
    .flatMap((r): FirstRuling[] => {
      if (!r || (r.unread && !r.first)) return []
      const { verdict, at, blinded } = r.first ?? r
      return [{ verdict, ...(at === undefined ? {} : { at }), ...(blinded === undefined ? {} : { blinded }) }]
    })
    .sort((a, b) => ((a.at ?? '') < (b.at ?? '') ? -1 : 1))[0]
}
