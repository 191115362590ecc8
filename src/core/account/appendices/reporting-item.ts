import type { Stage } from '../facts'

/** An item of a reporting checklist: what closes it, or what is missing; never a tick. */
export interface ReportingItem {
  /** As its checklist numbers it. */
  number: string
  /** Our own short wording. */
  about: string
  /** What closes it, from the record; absent: nothing does. */
  evidence?: string
  /** Where in the section or its appendices it stands. */
  place: string
  /** Where it can be done. */
  stage: Stage
  /** Nothing in the record asks for it. */
  notUsed?: true
}

/** An item, which nothing closes where its evidence is empty. */
export const item = (
  number: number | string,
  about: string,
  evidence: string | undefined,
  place: string,
  stage: Stage,
  notUsed?: boolean,
): ReportingItem => ({
  number: String(number),
  about,
  ...(evidence ? { evidence } : {}),
  place,
  stage,
  ...(notUsed ? { notUsed: true as const } : {}),
})
