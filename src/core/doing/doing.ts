import type { Command, Review } from '../review'

/** What whoever decides may know: the review as it is, and the clock, the chance and the person that are handed in. */
export interface DoingAt {
  review: Review
  /** ISO 8601 with zone. */
  now: string
  newId: () => string
  /** The id of who does it. */
  person: string
}

/**
 * What can be done is decided here: one press gives one list of commands, which are done together and taken back together. An
 * empty list does nothing. Bytes that a command names are laid down before it is done.
 */
export type Doing<In> = (at: DoingAt, input: In) => readonly Command[]
