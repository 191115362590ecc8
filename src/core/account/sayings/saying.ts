import type { FactContext, Stage } from '../facts'

/** When in the course of the work something was done, for telling it in order of time. */
export type Phase = 'planned' | 'searched' | 'again' | 'screened' | 'judged'
/** The parts of a section that is told by theme. */
export type Theme = 'where' | 'words' | 'screened' | 'judged'
/** Where a saying stands in a section, and the stage that feeds it. */
export interface Place {
  theme: Theme
  phase: Phase
  stage: Stage
}

/** What sayings of one family tell of: of it exactly one is told, where anything of it happened. */
export type Family =
  | 'question'
  | 'protocol'
  | 'amendments'
  | 'departures'
  | 'databases searched'
  | 'databases to be searched'
  | 'thesauri'
  | 'why these databases'
  | 'searched at once'
  | 'days of searching'
  | 'days of searching again'
  | 'searched before'
  | 'other ways'
  | 'other ways at once'
  | 'pages'
  | 'concepts'
  | 'alternatives'
  | 'not required'
  | 'how most were asked'
  | 'how others were asked'
  | 'nearness'
  | 'left out'
  | 'without a query'
  | 'taken over'
  | 'terms'
  | 'no heading'
  | 'terms dropped'
  | 'known items'
  | 'known items added'
  | 'known items found'
  | 'limits kept'
  | 'limits planned'
  | 'limits dropped'
  | 'limits in some'
  | 'limits that are not there'
  | 'what stood in'
  | 'review of the strategies'
  | 'points raised'
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
  | 'forms of words'
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
  place: Place
  /** The phase in which it is told in order of time, where that hangs on what is found. */
  phaseOf?(found: Found): Phase
  /** Sayings that stand one behind the other under one such name are told together of each of what they are told of. */
  along?: string
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
