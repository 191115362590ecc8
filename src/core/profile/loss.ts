import type { Span } from '../base'

export type Direction = 'wider' | 'narrower' | 'changed'

/** Something that a database cannot say as it was meant, what is said instead, and what to do about it. */
export interface Loss {
  /** The part of the plain text concerned, where it was text. */
  at?: Span
  what: string
  direction: Direction
  was: string
  is: string
  why: string
  advice: string
}
