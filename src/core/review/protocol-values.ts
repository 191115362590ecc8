import { z } from 'zod'
import { Id } from '../base'
import { Digest, Text } from './names'
import { PassName, READING_ORDERS, SELECTION_RULES } from './selection-values'
import type { Review } from './values'

/** The plan as it was frozen: what a review set out to do. Made from the review itself, never handed in. */
export interface FrozenPlan extends Pick<Review, 'question' | 'framework'> {
  concepts: Pick<Review['concepts'][number], 'id' | 'letter' | 'name' | 'essential'>[]
  alternatives: Review['alternatives']
  sources: Pick<Review['sources'][number], 'id' | 'kind' | 'name' | 'why'>[]
  limits: Review['limits']
  criteria: Review['criteria']
  knownItems: Pick<Review['knownItems'][number], 'id' | 'title' | 'doi'>[]
  /** How many people are to read each work. */
  readers: number
  /** In plans of the second form: how each pass is to be read, by what rule, in which order. */
  passes?: Partial<Record<PassName, PassPlanned>>
}

/** The parts of a plan by the first form in which plans are frozen; another form gets a name of its own. */
export const planOf = (review: Review, readers: number, passes?: FrozenPlan['passes']): FrozenPlan =>
  JSON.parse(
    JSON.stringify({
      ...(passes ? { passes } : {}),
      question: review.question,
      framework: review.framework,
      concepts: review.concepts.map(({ id, letter, name, essential }) => ({ id, letter, name, essential })),
      alternatives: review.alternatives,
      sources: review.sources.map(({ id, kind, name, why }) => ({ id, kind, name, why })),
      limits: review.limits,
      criteria: review.criteria,
      knownItems: review.knownItems.map(({ id, title, doi }) => ({ id, title, doi })),
      readers,
    }),
  ) as FrozenPlan

/** How one pass is to be read, in a plan of the second form. */
export const PassPlanned = z.object({
  readers: z.int().min(1).max(9),
  /** The share that so many read, where one reads the rest. */
  share: z.number().gt(0).lt(1).optional(),
  blinded: z.boolean(),
  order: z.enum(READING_ORDERS),
  rule: z.enum(SELECTION_RULES),
})
export type PassPlanned = z.infer<typeof PassPlanned>

export const PlanFreezing = z.object({
  id: Id,
  at: z.iso.datetime({ offset: true }),
  readers: z.int().min(1).max(9),
  /** Absent: a plan of the first form, which does not say how each pass is to be read. */
  passes: z.partialRecord(PassName, PassPlanned).optional(),
})
export const PlanAmending = PlanFreezing.extend({ /** What made it necessary. */ why: Text.min(1) })

/** One state of the protocol: the first, or what an amendment made of it. */
export interface ProtocolVersion extends z.infer<typeof PlanFreezing> {
  /** The entry that froze it. */
  seq: number
  why?: string
  plan: FrozenPlan
}

/** Where the protocol was registered or deposited, and under which number. */
export const Registration = z.object({ place: Text.min(1), number: Text, on: z.iso.date().optional() })
export type Registration = z.infer<typeof Registration>

/** A text that was frozen, for submission or as a version to come back to. */
export const FrozenText = z.object({
  id: Id,
  name: Text.min(1),
  at: z.iso.datetime({ offset: true }),
  /** The text, its facts and numbers lie beside the journal under this digest. */
  digest: Digest,
  /** The digest of the entry before: it is printed in the text. */
  journal: Digest,
  purpose: z.enum(['version', 'submission']),
})
export type FrozenText = z.infer<typeof FrozenText>

/** Where a package of the review was deposited, and the digest of its journal then, in words. */
export const PackageDeposited = z.object({ id: Id, address: Text.min(1), day: z.iso.date(), digest: Text })
export type PackageDeposited = z.infer<typeof PackageDeposited>

/** What the section said when a person last read it: the words of each fact, by its reference. */
export const TextRead = z.object({
  at: z.iso.datetime({ offset: true }),
  facts: z.record(z.string().max(400), Text),
})
export type TextRead = z.infer<typeof TextRead>

/** All that protocol and section add to a review; each part is absent until something of it is there. */
export interface Written {
  protocol?: ProtocolVersion[]
  registration?: Registration
  /** Why the review departed from its protocol, by the matter. */
  departures?: Record<string, string>
  /** Why a piece of advice on the section was left, by its key. */
  leftAdvice?: Record<string, string>
  frozenTexts?: FrozenText[]
  textRead?: TextRead & { seq: number }
  deposits?: PackageDeposited[]
}
