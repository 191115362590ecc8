import type { FactContext, Stage } from '../facts'
import type { Phase, Theme } from '../draft/grouped'

/** What sayings of one family tell of: of it exactly one is told, where anything of it happened. */
export type Family =
  | 'came in'
  | 'duplicates'
  | 'removed unread'
  | 'agreement on titles'
  | 'agreement on texts'
  | 'differences on titles'
  | 'differences on texts'
  | 'texts sought'
  | 'studies'
  | 'what an update brought'
  | 'headings looked up'
  | 'titles read'
  | 'who read titles'
  | 'questions of titles'
  | 'order of titles'
  | 'texts read'
  | 'who read texts'
  | 'questions of texts'
  | 'reasons that are no question'
  | 'followed'
  | 'looked through'
  | 'people'
  | 'taken out of the plan'
  | 'to be searched again'
  | 'deposited'
  | 'not used'
  | 'sent without truncation'
  | 'phrases sent as words'
  | 'left out in vain'
  | 'left out in part'
  | 'not used in searches'
  | 'brought in short'
  | 'limits beyond the plan'
  | 'counts by hand'
  | 'counts corrected'

/** One thing that is told of a review: whether, and what of it. Its words stand in `words`, its meaning in `meanings`. */
export interface Saying<Found> {
  family: Family
  /** Of what it is told, one after another, by id; absent: of the review, once. */
  groups?: (c: FactContext) => readonly string[]
  place: { theme: Theme; phase: Phase; stage: Stage }
  /** It stays in the short form. */
  core?: true
  finds: {
    /** Conditions by name; it is told where all of them hold. */
    when: Readonly<Record<string, (c: FactContext, of: string) => boolean>>
    /** What words need to know; asked only where all conditions hold. */
    found: (c: FactContext, of: string) => Found
  }
}

/** Ties the conditions of a saying and what it finds together. */
export const saying = <Found>(of: Saying<Found>): Saying<Found> => of
