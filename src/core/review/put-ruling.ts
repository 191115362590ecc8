import { held, hold } from '../base'
import type { Review, Ruling } from './values'

/** Puts what was said of a record in its place, under its pass and person; changes the review. */
export function putRuling({ rulings }: Review, key: string, ruling: Ruling): void {
  const own = held(rulings, ruling.recordId)
  if (own) own[key] = ruling
  else hold(rulings, ruling.recordId, { [key]: ruling })
}
