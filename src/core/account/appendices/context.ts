import type { Inline, Passage } from '../document'
import type { FactContext } from '../facts'

/** A work as a list of references has it. */
export interface Referenced {
  id: string
  /** In the style that was chosen, its italics kept. */
  reference: readonly Inline[]
  /** What notices on it are called, each with its year; absent: there are none. */
  notices?: readonly string[]
}

/** What appendices are made from: the facts, and what only the records say. */
export interface AppendixContext extends FactContext {
  /** Works included, and works that went out on their full text with the main reason; absent: not asked for. */
  included?: readonly Referenced[] | undefined
  excluded?: readonly (Referenced & { reason: string })[] | undefined
  /** The section as it stands; absent: as it is drafted and edited in the review. */
  passages?: readonly Passage[] | undefined
  /** The flow as a drawing with its text; absent: nothing was brought in, or it does not add up. */
  flow?: { svg: string; text: string } | undefined
}
