import { z } from 'zod'
import { Id } from '../base'
import { Digest, PersonId, RecordId, Text } from './names'

/** The two readings: of title and abstract, and of the full text. */
export const PassName = z.enum(['broad', 'close'])
export type PassName = z.infer<typeof PassName>

/** A question asked of each record; `sense` says what a "yes" means. */
export const Criterion = z.object({
  id: Id,
  text: Text,
  pass: PassName,
  sense: z.enum(['in', 'out']),
  /** The reason that it gives for setting a work aside, as a statement: "no outcome measured". */
  short: Text.optional(),
})
export type Criterion = z.infer<typeof Criterion>

export const RETRIEVAL_STATES = [
  'wanted',
  'loan asked',
  'open copy',
  'subscription',
  'have',
  'not to be had',
] as const

export const Answer = z.enum(['yes', 'no', 'cannot tell'])
export type Answer = z.infer<typeof Answer>

/** What a reader said of a work in a pass, under the record that was shown. */
export const Ruling = z.object({
  recordId: RecordId,
  pass: PassName,
  reader: PersonId,
  verdict: z.enum(['in', 'out', 'unsure']),
  /** The question by which it was ruled out: the one main reason. */
  criterionId: Id.optional(),
  /** The main reason in words, where it is none of the questions. */
  reason: Text.optional(),
  /** What was answered to the questions, by their ids. */
  answers: z.record(Id, Answer).optional(),
  /** The version of the criteria that was in force; absent: none had been named. */
  version: Id.optional(),
  /** Ruled with others by what a filter found; nobody read it. */
  unread: z.literal(true).optional(),
  note: Text.optional(),
  /** This reader's earlier rulings of the pass on the work's other records, which it replaces until they are parted. */
  replaces: z.array(RecordId).optional(),
  /** Of each question that was shown, its id and the digest of its wording; absent: not noted. */
  asked: z.record(Id, Digest).optional(),
  /** Where the full text stood under which it was made; absent: not noted. */
  text: z.enum(['none noted', ...RETRIEVAL_STATES]).optional(),
  /** The ruling of the other reader could not be seen; absent: not noted. */
  blinded: z.boolean().optional(),
})
/** As a review holds it: with its time, and what its reader said first where they ruled the work again. */
export interface Ruling extends z.infer<typeof Ruling>, FromSide<Ruling> {
  at?: string
  first?: FirstRuling
}
/** What came in a side journal, and what this journal itself says in that place, which stands again without it. */
export interface FromSide<T> {
  side?: true
  under?: T
}
/** What a reader said first of a work in a pass. */
export type FirstRuling = Pick<Ruling, 'verdict' | 'at' | 'blinded'>

/** By what rule works that were ruled differently go on; absent: any yes goes on. */
export const SELECTION_RULES = ['any yes goes on', 'all agree', 'settle first'] as const
export const SelectionRule = z.object({ pass: PassName, rule: z.enum(SELECTION_RULES) })
export type SelectionRule = z.infer<typeof SelectionRule>

/** How many people are to read each work of a pass: two each, two a share and one the rest, or one each. */
export const ReadingPlan = z.object({
  pass: PassName,
  way: z.enum(['two each', 'a share by two', 'one each']),
  /** Of "a share by two", how large it is: more than none, less than all. */
  share: z.number().gt(0).lt(1).optional(),
})
export type ReadingPlan = z.infer<typeof ReadingPlan>

/** When reading is to stop: what was agreed, and on which sample it was tried. */
export const StopRule = z.object({
  id: Id,
  pass: PassName,
  agreed: Text.min(1),
  at: z.iso.datetime({ offset: true }),
  sample: z.array(RecordId).optional(),
})
export type StopRule = z.infer<typeof StopRule>

/** One ruling of many works, found by a filter, none of which was read. */
export const RulingOfMany = z.object({
  records: z.array(RecordId).min(1),
  pass: PassName,
  reader: PersonId,
  verdict: z.enum(['in', 'out', 'unsure']),
  because: Text.min(1),
  /** Which works they were, in words. */
  which: Text,
})
export type RulingOfMany = z.infer<typeof RulingOfMany>

/** The criteria as they stood when a person gave them a name. */
export const CriteriaVersion = z.object({ id: Id, name: Text.min(1), at: z.iso.datetime({ offset: true }) })
export type CriteriaVersion = z.infer<typeof CriteriaVersion> & { criteria: Criterion[] }

export const READING_ORDERS = ['source', 'year', 'chance', 'likely'] as const
export type ReadingOrder = (typeof READING_ORDERS)[number]
/** The order in which works were read from a time on. */
export const OrderChosen = z.object({
  pass: PassName,
  order: z.enum(READING_ORDERS),
  /** From which chance draws; the same gives the same order. */
  seed: z.string().max(40).optional(),
  at: z.iso.datetime({ offset: true }),
})
export type OrderChosen = z.infer<typeof OrderChosen>
/** An order as it is kept: with who chose it. */
export type OrderTaken = OrderChosen & { by: string }

/** Works that another person was asked to read in a pass: the same ones, whatever becomes of the group they were. */
export const ReadingAsked = z.object({
  id: Id,
  pass: PassName,
  /** What they were called when they were chosen. */
  called: Text,
  records: z.array(RecordId).min(1),
  at: z.iso.datetime({ offset: true }),
  by: PersonId,
  /** The version of the criteria that they are to be read by. */
  version: Id.optional(),
  /** What others ruled must not be seen. */
  blinded: z.boolean().optional(),
  until: z.iso.date().optional(),
})
export type ReadingAsked = z.infer<typeof ReadingAsked>

/** What two readers saw differently, settled. */
export const Settlement = z.object({
  recordId: RecordId,
  pass: PassName,
  verdict: z.enum(['in', 'out']),
  criterionId: Id.optional(),
  reason: Text.optional(),
  /** Who settled it, and how: by talking, by a third reader. */
  by: PersonId,
  how: Text,
  /** Other works that were settled in the same way at once. */
  also: z.array(RecordId).optional(),
  after: z.enum(['talk', 'third person', 'rule']).optional(),
})
export interface Settlement extends z.infer<typeof Settlement>, FromSide<Settlement> {
  /** When it was settled. */
  at?: string
}

/** Where the full text of a work stands. */
export const Retrieval = z.object({
  recordId: RecordId,
  state: z.enum(RETRIEVAL_STATES),
  /** Of a loan: the day it was asked for, and the day it is due. */
  asked: z.iso.date().optional(),
  due: z.iso.date().optional(),
  /** Why it was not to be had. */
  why: Text.optional(),
  link: Text.optional(),
  file: z
    .object({ name: Text, mediaType: z.string().max(200), size: z.int().min(0), digest: Digest })
    .optional(),
})
export interface Retrieval extends z.infer<typeof Retrieval>, FromSide<Retrieval> {
  /** When it was noted, and by whom. */
  at?: string
  who?: string
}

/** Works that report one piece of research. */
export const Study = z.object({ id: Id, name: Text.min(1), records: z.array(RecordId).min(1) })
export type Study = z.infer<typeof Study>

/** One time of following references: from these works, what they cite or what cites them. */
export const Step = z.object({
  id: Id,
  sourceId: Id,
  of: z.array(RecordId),
  /** How many were named, and how many of them were works of the review already. */
  named: z.int().min(0),
  known: z.int().min(0),
  importId: Id.optional(),
  at: z.iso.datetime({ offset: true }),
})
export type Step = z.infer<typeof Step>

/** How something was looked through that is not a database, or somebody was asked; once a time. */
export const WayLogged = z.object({
  id: Id,
  sourceId: Id,
  /** Of which works, where it began with works; else where it was. */
  of: z.array(RecordId).optional(),
  where: Text.optional(),
  how: Text,
  /** What it was done through: a database, an address, a letter. */
  through: Text.optional(),
  day: z.iso.date(),
  /** Counts; each is absent where nobody counted. */
  lookedThrough: z.int().min(0).optional(),
  named: z.int().min(0).optional(),
  known: z.int().min(0).optional(),
  taken: z.int().min(0).optional(),
  asked: Text.optional(),
  answered: Text.optional(),
  /** Where one stopped: the second page, the year 1990. */
  stopped: Text.optional(),
  importId: Id.optional(),
})
export type WayLogged = z.infer<typeof WayLogged>

/** A person who was asked: when, by what way, and what came of it. */
export const Contact = z.object({
  id: Id,
  sourceId: Id,
  who: Text,
  way: Text,
  asked: z.iso.date().optional(),
  answered: z.iso.date().optional(),
  what: Text,
})
export type Contact = z.infer<typeof Contact>

/** A page that was searched or read: where, when, what for, and why it can be believed. */
export const WebPage = z.object({
  id: Id,
  sourceId: Id,
  address: Text,
  title: Text,
  seen: z.iso.date().optional(),
  searched: Text,
  publisher: Text,
  dated: Text,
  evidence: Text,
  purpose: Text,
  copy: z
    .object({ name: Text, mediaType: z.string().max(200), size: z.int().min(0), digest: Digest })
    .optional(),
})
export type WebPage = z.infer<typeof WebPage>

/** What was found out of a work by reading it: words of its full text, and where they stand. */
export const Quote = z.object({ id: Id, recordId: RecordId, text: Text, page: Text })
export type Quote = z.infer<typeof Quote>

/** All that selection adds to a review; each part is absent until something of it is there. */
export interface Selecting {
  criteriaVersions?: CriteriaVersion[]
  orders?: OrderTaken[]
  asked?: ReadingAsked[]
  /** By record, then by pass. */
  settlements?: Record<string, Partial<Record<PassName, Settlement>>>
  /** By record. */
  retrievals?: Record<string, Retrieval>
  studies?: Study[]
  steps?: Step[]
  contacts?: Contact[]
  pages?: WebPage[]
  quotes?: Quote[]
  selectionRules?: Partial<Record<PassName, SelectionRule['rule']>>
  readingPlans?: Partial<Record<PassName, ReadingPlan>>
  stopRules?: StopRule[]
  ways?: WayLogged[]
}
