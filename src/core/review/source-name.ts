import type { Review } from './values'

/** What a source is called; its id where it is no longer in the plan. */
export const sourceName = (review: Review, id: string): string =>
  review.sources.find((s) => s.id === id)?.name ?? id
