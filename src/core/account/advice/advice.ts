import type { Stage } from '../facts'
import type { PassageId } from '../document'
import type { Look } from './look'

/** A remark in the margin of the section: what strikes, why it matters, and where it can be mended. */
export interface Advice {
  rule: string
  /** Names rule and matter, so that what was left once stays left. */
  key: string
  message: string
  why: string
  /** Where in the section it stands; absent: the section as a whole. */
  passage?: PassageId
  /** The words that it is about, as they read. */
  words?: string
  /** Where in the record it can be mended; absent: in the text. */
  mend?: { stage: Stage; anchor?: string; label: string }
}

/** One rule: looks at text and record, and says what strikes it. */
export type Rule = (look: Look) => Finding[]
/** What a rule finds; its name and key are put to it by `adviceOn`. */
export type Finding = Omit<Advice, 'rule' | 'key' | 'why'> & {
  /** What it is about, so that it is known again. */
  matter: string
}
