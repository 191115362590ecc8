import { z } from 'zod'
import { Id, type Buckets } from '../base'
import { Profile } from '../profile'
import { LimitValue } from '../query'
import type { Decision } from '../records'
import { Digest, Text, type Person, type SamePerson } from './names'
import type { Written } from './protocol-values'
import type { SearchReviewing } from './search-review-values'
import type { Export, Group, Import, SavedFilter, ValueSet, WorkRelated } from './record-values'
import type { Criterion, Ruling, Selecting } from './selection-values'
import type { SideTaken } from './side-taken'

export * from './names'
export * from './protocol-values'
export * from './record-values'
export * from './selection-values'

export const LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'] as const
export const Letter = z.enum(LETTERS)
export type Letter = z.infer<typeof Letter>

/** One idea of the question. An optional concept is left out when concepts are joined with AND. */
export const Concept = z.object({
  id: Id,
  letter: Letter,
  name: Text,
  role: Text.optional(),
  essential: z.boolean(),
  note: Text,
})
export type Concept = z.infer<typeof Concept>

/** Concepts of which one is enough: A and (B or C). A concept is in one such group at most. */
export const Alternatives = z.object({ id: Id, conceptIds: z.array(Id).min(2).max(LETTERS.length) })
export type Alternatives = z.infer<typeof Alternatives>

/** Words of the question that were woven into a concept; a stretch of the question in UTF-16 units. */
export const Pick = z.object({
  id: Id,
  conceptId: Id,
  start: z.int().min(0),
  end: z.int().min(1),
  text: Text,
})
export type Pick = z.infer<typeof Pick>

export const PlannedLimit = z.object({ id: Id, limit: LimitValue, reason: Text })
export type PlannedLimit = z.infer<typeof PlannedLimit>

export const SourceKind = z.enum([
  'database',
  'reference lists',
  'citing papers',
  'people',
  'web',
  'catalogue',
  'own collection',
  'hand search',
  'register',
])
export const RHYTHMS = ['month', 'three months', 'half year', 'year'] as const
export const Source = z.object({
  id: Id,
  kind: SourceKind,
  name: Text,
  /** For a database, its profile; the stand-ins have one each. */
  profileId: Id.optional(),
  why: Text,
  coverage: Text.optional(),
  platform: Text.optional(),
  /** Other databases that one search on the same platform reached together with this one, as the person names them. */
  together: Text.optional(),
  /** For a stand-in, the release that is searched; the latest one where it is absent. */
  release: z
    .string()
    .regex(/^\d{4}-\d{2}$/)
    .optional(),
  /** When the strategy is to be run again: every so often, from a day on. */
  reminder: z.object({ every: z.enum(RHYTHMS), from: z.iso.date() }).optional(),
})
export type Source = z.infer<typeof Source>

export const TermOrigin = z.enum([
  'question',
  'look-up',
  'harvest',
  'suggestion',
  'known item',
  'colleague',
  'reading',
  'typed',
])
export const NAMED_SORTS = ['author', 'test', 'place studied', 'identifier'] as const
/** An author, a measure, a place or an identifier, with the forms in which databases write it. */
export const Named = z.object({
  sort: z.enum(NAMED_SORTS),
  name: Text,
  forms: z.array(Text),
  /** Sixteen characters in four groups; the last is a check digit. */
  orcid: Text.optional(),
})
export type Named = z.infer<typeof Named>

/** A record that a good search must find, as it was pasted and as it was understood. */
export const KnownItem = z.object({
  id: Id,
  /** What was pasted, unchanged. */
  raw: Text,
  form: z.enum(['DOI', 'RIS', 'BibTeX', 'reference']),
  title: Text,
  authors: z.array(Text),
  year: z.int().optional(),
  journal: Text.optional(),
  doi: Text.optional(),
})
export type KnownItem = z.infer<typeof KnownItem>

/** A vocabulary was searched for an idea and has nothing for it. */
export const Gap = z.object({ id: Id, conceptId: Id, sourceId: Id, about: Text })
export type Gap = z.infer<typeof Gap>

/** A vocabulary read from a file for one source; the bytes of the file lie beside the journal under `digest`. */
export const VocabularyFile = z.object({
  id: Id,
  sourceId: Id,
  title: Text,
  version: Text,
  /** The name of the file, and how it is written. The file itself lies beside the journal, unchanged. */
  file: Text,
  format: z.enum(['turtle', 'json-ld', 'rdf-xml', 'term list']),
  digest: Digest,
  headings: z.int().min(1),
  /** How many breaches were mended or reported when it was read. */
  remarks: z.int().min(0),
  at: z.iso.datetime({ offset: true }),
})
export type VocabularyFile = z.infer<typeof VocabularyFile>

/** A word, heading, code or name that stands for a concept; `sourceId` is `all` for text words. */
export const Term = z.object({
  id: Id,
  conceptId: Id,
  sourceId: Id,
  kind: z.enum(['text', 'heading', 'class', 'named']),
  expression: Text,
  withNarrower: z.boolean(),
  mainFocus: z.boolean(),
  origin: TermOrigin,
  status: z.enum(['proposed', 'in use', 'dropped']),
  /** Why it was dropped. */
  reason: Text.optional(),
  /** Where it came from, in words: the record, the heading, the person. */
  from: Text.optional(),
  /** What a named term names; `expression` is written from it. */
  named: Named.optional(),
})
export type Term = z.infer<typeof Term>

/** A remark on a strategy that was left as it is, with the reason; `key` names the rule, the place and the matter. */
export const LeftRemark = z.object({ id: Id, sourceId: Id, key: Text, message: Text, reason: Text })
export type LeftRemark = z.infer<typeof LeftRemark>

/** What a line takes over from others, and what was changed of it. */
export const TakenOver = z.object({ what: z.enum(['filter', 'earlier strategy']), name: Text, changed: Text })
export type TakenOver = z.infer<typeof TakenOver>

export const LineUse = z.enum(['counts', 'tried', 'left out'])

/** One search statement; its number is its place in the strategy, counted from 1. */
export const Line = z.object({
  id: Id,
  /** Plain notation, as written. */
  text: Text,
  limits: z.array(LimitValue),
  conceptId: Id.optional(),
  note: Text,
  /** Written by the draft and not touched since. */
  drafted: z.boolean(),
  /** A search that has no text: a form, a drawn structure, a journal browsed. What was done, in words; `text` is empty. */
  described: Text.optional(),
  /** A filter that others published, or an earlier strategy. */
  takenOver: TakenOver.optional(),
  /** What it is for: it counts, it was only tried, or it is left out of the appendix; absent: nobody said. */
  use: LineUse.optional(),
})
export type Line = z.infer<typeof Line>

/** As much of a line as decides what it finds, as it stood when it was run. */
export const ReachedLine = z.object({
  number: z.int().min(1),
  id: Id,
  text: Text,
  limits: z.array(LimitValue),
  described: Text.optional(),
})
export type ReachedLine = z.infer<typeof ReachedLine>

/** What was there when a line was run. A difference is told when it is verified; it makes no run stale. */
export const Evidence = z.object({
  /** Of the data of the release. */
  data: Digest.optional(),
  profile: Digest.optional(),
  vocabulary: Digest.optional(),
  /** Of a source that answers: what it was asked, and what it answered, as they went over the line. */
  request: Digest.optional(),
  response: Digest.optional(),
})
export type RunEvidence = z.infer<typeof Evidence>

/** A time of searching: the first, or an update of it. */
export const RoundBegun = z.object({ id: Id, kind: z.enum(['first', 'update']), why: Text })
export interface Round extends z.infer<typeof RoundBegun> {
  /** The entry it begins with. */
  from: number
}

/**
 * One execution of a line. Never changed; a later run of the same line supersedes it. One that was logged wrongly is
 * corrected by another, which names it and says why; both are kept.
 */
export const Run = z.object({
  id: Id,
  sourceId: Id,
  lineId: Id,
  /** What identifies the line with all it depended on; see `lineKeys`. */
  key: z.string(),
  /** The version of the rule that made the key; absent: 0, that of the first form. */
  keyRule: z.int().min(0).optional(),
  /** The line and all that it refers to, so that its key can be made under any rule. */
  reached: z.array(ReachedLine).optional(),
  evidence: Evidence.optional(),
  roundId: Id.optional(),
  number: z.int().min(1),
  text: Text,
  /** As it was sent, in the source's own syntax. */
  sent: Text,
  limits: z.array(LimitValue),
  hits: z.int().min(0),
  /** ISO 8601 with zone. */
  at: z.iso.datetime({ offset: true }),
  by: Text,
  /** The release of a stand-in; for a database outside, what it covered then. */
  release: Text,
  how: z.enum(['stand-in', 'by hand', 'pasted history', 'answered', 'before']),
  /** Through what it was reached, where a person noted it. */
  platform: Text.optional(),
  /** The run that this one corrects: the same search, logged wrongly. */
  supersedes: Id.optional(),
  /** Why it had to be corrected. */
  because: Text.optional(),
  /** The number that the line had there, where it is another. */
  there: z.string().min(1).max(40).optional(),
  /** What was set on the screen, and where. */
  onScreen: z.array(z.object({ what: Text, where: Text })).optional(),
  /** The version of what wrote its text; absent: 1. */
  printer: z.int().min(1).optional(),
})
export type Run = z.infer<typeof Run>

/** The line of a source that says what its strategy found, as a person chose it; absent: the last line with a text. */
export const LineCounts = z.object({ sourceId: Id, lineId: Id, why: Text })
export type LineCounts = z.infer<typeof LineCounts>

/** What the text of a run means in plain notation, read anew: what was sent, its hits and its day stay. */
export const RunReread = z.object({ runId: Id, reading: Text, why: Text })
export type RunReread = z.infer<typeof RunReread>

/** Something that was looked up and not found: words in a thesaurus, or a known item in a source. */
export const LookedUp = z.object({
  id: Id,
  what: z.enum(['heading', 'known item']),
  sourceId: Id,
  /** The thesaurus, where it was one. */
  thesaurus: Text.optional(),
  words: Text.min(1),
  knownId: Id.optional(),
  day: z.iso.date(),
})
export type LookedUp = z.infer<typeof LookedUp>

/** A heading as it was seen in a thesaurus that is not here. */
export const HeadingNoted = z.object({
  id: Id,
  sourceId: Id,
  label: Text.min(1),
  scopeNote: Text.optional(),
  broader: z.array(Text),
  narrower: z.array(Text),
  related: z.array(Text),
  usedFor: z.array(Text),
  day: z.iso.date(),
  from: z.enum(['page', 'record', 'person']),
})
export type HeadingNoted = z.infer<typeof HeadingNoted>

/** A file kept as evidence of a search: a screen, a note, a history as it was pasted. */
export const Attachment = z.object({
  id: Id,
  sourceId: Id,
  /** The line it belongs to; absent where it is about the whole strategy. */
  lineId: Id.optional(),
  name: Text,
  mediaType: z.string().max(200),
  /** In bytes. */
  size: z.int().min(0),
  digest: Digest,
  at: z.iso.datetime({ offset: true }),
})
export type Attachment = z.infer<typeof Attachment>

export const Voice = z.enum(['we', 'I', 'passive'])
export type Voice = z.infer<typeof Voice>

/** In which order the account is told, and how long it is. */
export const TellingOrder = z.enum(['theme', 'time'])
export type TellingOrder = z.infer<typeof TellingOrder>
export const TellingLength = z.enum(['full', 'short'])
export type TellingLength = z.infer<typeof TellingLength>

/** A passage of the account as a document node; its inside belongs to the editor. */
export const PassageContent = z.array(z.looseObject({ type: z.string() }))
export type PassageContent = z.infer<typeof PassageContent>

export interface Review extends Selecting, Written, SearchReviewing {
  id: string
  title: string
  question: string
  framework: string
  picks: Pick[]
  concepts: Concept[]
  alternatives: Alternatives[]
  limits: PlannedLimit[]
  criteria: Criterion[]
  sources: Source[]
  knownItems: KnownItem[]
  gaps: Gap[]
  vocabularies: VocabularyFile[]
  leftRemarks: LeftRemark[]
  /** Databases that the user described. */
  profiles: Profile[]
  terms: Term[]
  strategies: Record<string, Line[]>
  people: Person[]
  rounds: Round[]
  runs: Run[]
  /** All of them, also those that no longer stand; see `standingImports`. */
  imports: Import[]
  decisions: Decision[]
  /** The partition in force; absent: that of version 0, which is found anew. */
  partition?: { rules: number; imports: string[]; digest: string; toSettle?: string | undefined }
  /** Of a work with one of these records, the value of the field is that of this record; the last word counts. */
  choices?: { recordId: string; field: string }[]
  valuesSet?: ValueSet[]
  related?: WorkRelated[]
  groups?: Group[]
  filters?: SavedFilter[]
  exports?: Export[]
  attachments: Attachment[]
  /** By source. */
  counts?: Record<string, Omit<LineCounts, 'sourceId'>>
  /** By run. */
  readings?: Record<string, Omit<RunReread, 'runId'>>
  lookups?: LookedUp[]
  headingsNoted?: HeadingNoted[]
  /** Two ids of one person, as somebody said. */
  samePersons?: SamePerson[]
  /** It was handed on without rulings: the digest of the last entry of the journal that it came of. */
  from?: string
  /** Side journals that were taken in, by person and head. */
  sides: SideTaken[]
  /** By record, then by pass and person ("broad/" and an id). */
  rulings: Buckets<Record<string, Ruling>>
  account: {
    voice: Voice
    /** Absent: by theme. */
    order?: TellingOrder
    /** Absent: in full. */
    length?: TellingLength
    edited: Record<string, PassageContent>
  }
}

/** The round that what is run and brought in now belongs to; nothing where none was begun. */
export const inRound = ({ rounds }: Review): { roundId?: string } => {
  const round = rounds.at(-1)
  return round ? { roundId: round.id } : {}
}

/** The runs that stand: without those that a correction has taken the place of. */
export function standingRuns(runs: readonly Run[]): Run[] {
  const corrected = new Set(runs.flatMap((r) => (r.supersedes === undefined ? [] : [r.supersedes])))
  return corrected.size ? runs.filter((r) => !corrected.has(r.id)) : [...runs]
}

/** The terms in use of the plan as it stands: text words, and headings of sources that have not been taken out of it. */
export const termsInUse = (review: Review): Term[] =>
  review.terms.filter(
    (t) => t.status === 'in use' && (t.sourceId === 'all' || review.sources.some((s) => s.id === t.sourceId)),
  )

export function emptyReview(id: string): Review {
  return {
    id,
    title: '',
    question: '',
    framework: 'free',
    picks: [],
    concepts: [],
    alternatives: [],
    limits: [],
    criteria: [],
    sources: [],
    knownItems: [],
    gaps: [],
    vocabularies: [],
    leftRemarks: [],
    profiles: [],
    terms: [],
    strategies: {},
    people: [],
    rounds: [],
    runs: [],
    imports: [],
    decisions: [],
    attachments: [],
    sides: [],
    rulings: {},
    account: { voice: 'we', edited: {} },
  }
}
