import type { Passage } from '../document'
import type { Inline } from '../document'
import type { Stage } from '../facts'
import type { SayingName } from '../sayings'
import type { ToldInText } from '../told-in-text'

/** An item of a reporting checklist: what the record has for it, and whether the section says it; never a tick. */
export interface ReportingItem {
  /** As its checklist numbers it. */
  number: string
  /** Our own short wording. */
  about: string
  /** What the record has for it; absent: nothing. */
  evidence?: string
  /** Where in the section or its appendices it stands. */
  place: string
  /** Where it can be done. */
  stage: Stage
  /** Nothing in the record asks for it. */
  notUsed?: true
  /** The section says it: in a table or appendix, or in this passage. */
  closed: boolean
  passage?: Passage['id']
  /** Sentences of the draft that would say it, where the text does not. */
  offered?: readonly (readonly Inline[])[]
}

/** By which sentences an item is said in the text: those that tell one of these, of one of these sources where some are named. */
export interface SaidBy {
  tells: readonly SayingName[]
  of?: readonly string[]
  /** That nothing of it was done is said by these. */
  not?: readonly SayingName[]
}

/**
 * An item. Where its place is a table or an appendix, that stands with the section whatever was edited; else it is closed by
 * a sentence of the text as it stands.
 */
export function item(
  told: readonly ToldInText[],
  number: number | string,
  about: string,
  evidence: string | undefined,
  place: string,
  stage: Stage,
  by?: SaidBy,
  notUsed?: boolean,
): ReportingItem {
  const names = evidence ? by?.tells : by?.not
  const own = told.filter(
    (t) =>
      names?.includes(t.tells) &&
      (!evidence || !by?.of || !t.of.length || t.of.some((id) => by.of!.includes(id))),
  )
  const said = own.filter((t) => t.said)
  const closed = by ? own.length > 0 && said.length === own.length : !!evidence
  const missing = own.filter((t) => !t.said)
  return {
    number: String(number),
    about,
    ...(evidence ? { evidence } : {}),
    place,
    stage,
    ...(notUsed && !evidence ? { notUsed: true as const } : {}),
    closed,
    ...(by && own[0] ? { passage: (said[0] ?? own[0]).passage } : {}),
    ...(missing.length ? { offered: missing.map((t) => t.content) } : {}),
  }
}
