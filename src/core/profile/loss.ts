import type { Span } from '../base'
import { LOSS_WORDS, type LossWords } from './losses-in-words'

export type Direction = 'wider' | 'narrower' | 'changed'

/** How what could not be asked in one is asked: in lines that the last joins, as queries of their own, or not at all. */
export type Parted = 'lines' | 'apart' | 'not'

/** What a database cannot say, as data: which rule, and what the rule has to be told in. */
export type LossCause =
  | { code: 'no-not' | 'no-nearness' | 'near-sides' | 'no-order' | 'no-vocabulary' | 'no-main-focus' }
  | { code: 'no-narrower' | 'no-codes' | 'no-codes-below' | 'no-lines' }
  | { code: 'near-too-far'; most: number }
  | { code: 'phrase-truncated' }
  | { code: 'mask-left' | 'mask-no-sign'; known: boolean }
  | { code: 'mask-short'; known: boolean; least: number }
  | { code: 'mask-any-only' }
  | { code: 'stop-words'; words: readonly [string, ...string[]] }
  | { code: 'stemming'; how: 'plurals' | 'stems'; quotesHelp: boolean }
  | { code: 'field-wider'; fields: readonly [string, ...string[]] }
  | { code: 'field-missing'; fields: readonly [string, ...string[]]; covered: boolean }
  | { code: 'unsayable'; text: string }
  | { code: 'name-unsayable'; name: string }
  | { code: 'field-reach'; fields: readonly [string, ...string[]]; reach: 'word' | 'phrase' }
  | { code: 'too-long'; most: number; length: number; how: Parted }
  | { code: 'rows-cannot'; how: Parted }
export type LossCode = LossCause['code']

/** Something that a database cannot say as it was meant, what is said instead, and what to do about it. */
export interface Loss extends LossWords {
  /** The part of the plain text concerned, where it was text. */
  at?: Span
  /** What it is, for whoever compares; the words below are made of it. */
  cause: LossCause
  direction: Direction
  was: string
  is: string
}

/** The words of a cause for the database of this name. */
export const lossWords = (cause: LossCause, name: string): LossWords =>
  (LOSS_WORDS[cause.code] as (cause: LossCause, name: string) => LossWords)(cause, name)
