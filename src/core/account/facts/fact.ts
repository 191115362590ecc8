import type { Figures } from '../../figures'
import type { Profile } from '../../profile'
import type { Entry, Review } from '../../review'

export type Stage = 'question' | 'terms' | 'searches' | 'records' | 'selection' | 'methods'

/** What is known of a database beside the review: its profile says so. */
export interface SourceFacts {
  /** How it was reached and what it covered, or the release that would be searched; see `releaseWords` for what was. */
  release: string
  /** A release in words, for a source that has releases. */
  releaseWords?: ((release: string) => string) | undefined
  hasVocabulary: boolean
  /** What it is called from the second time on; absent: its name. */
  short?: string | undefined
  vocabularyTitle?: string
  /** How it speaks; without it, lines are taken as they are written. */
  profile?: Profile | undefined
}

export interface FactContext {
  review: Review
  /** Where every number comes from. */
  figures: Figures
  /** The journal, for what came before what. Without it nothing is said of an order. */
  entries?: readonly Entry[]
  source: (sourceId: string) => SourceFacts | undefined
  /** How many works of the review hold each term, by its id; without it, terms stand in the order of the plan. */
  yields?: ReadonlyMap<string, number> | undefined
}

export interface Fact {
  /** The words as they read now. */
  text: string
  /** Where it comes from. */
  stage: Stage
  /** What to light up there: an id of something on that stage. */
  anchor?: string
  /** Where from, in words. */
  from: string
  /** There is nothing yet to say; `text` tells what is missing. */
  missing: boolean
}

export type Reader = (c: FactContext, of: string) => Omit<Fact, 'missing'> & { missing?: boolean }

export const MISSING = '…'

/** A source by its name, as a person calls it. */
export const nameOf = (c: FactContext, id: string): string =>
  c.review.sources.find((s) => s.id === id)?.name ?? 'a source'
