import type { LimitKind, LimitValue } from '../../query'
import type { Applied } from '../standing'
import type { Join } from '../joins'

/**
 * What a claim rests on, by name: `run:…`, `import:…`, `source:…`, `concept:…`, `limit:…`, `term:…`, `line:…`, or
 * `question`, `rulings`, `plan`. A claim with none is not made.
 */
export type Evidence = readonly string[]

interface Says<Kind extends string> {
  says: Kind
  on: Evidence
}

/** How much a planned limit held of what was really run: in each database that was searched. */
export interface LimitHeld {
  sourceId: string
  state: Applied
}

/**
 * One thing that there is to say of a review: a typed message with its evidence. It is found before a word is written,
 * and is the same in every voice, order and length.
 */
export type Claim =
  | Says<'Asked'>
  | Says<'QuestionBroken'>
  | (Says<'OneIsEnough'> & { conceptIds: string[] })
  | (Says<'NotRequired'> & { conceptIds: string[]; reason: string })
  | (Says<'LimitPlanned'> & { limitId: string; limit: LimitValue; reason: string })
  | (Says<'LimitApplied'> & { limitId: string; limit: LimitValue; reason: string; held: LimitHeld[] })
  | (Says<'KnownNamed'> & { when: 'before' | 'any' | 'while' | 'later'; count: number })
  | (Says<'KnownFound'> & { found: number; of: number })
  | (Says<'SourcesSearched'> & { sourceIds: string[] })
  | (Says<'SourcesPlanned'> & { sourceIds: string[]; besides: boolean })
  | (Says<'SourcesIndexed'> & { sourceIds: string[] })
  | (Says<'SourceReached'> & { sourceId: string; platform: boolean; coverage: boolean })
  | (Says<'SourceChosen'> & { sourceId: string; reason: string })
  | (Says<'SearchedOn'> & { sourceId: string })
  | (Says<'OtherSource'> & { sourceId: string; kind: string; done: boolean; reason: string })
  | Says<'TermsGathered'>
  | (Says<'TermsOfConcept'> & {
      conceptId: string
      words: number
      names: number
      headings: { sourceId: string; count: number }[]
    })
  | (Says<'NoHeadingFor'> & { gapId: string; sourceId: string })
  | (Says<'TermsDropped'> & { count: number; reasoned: boolean })
  | (Says<'SearchedWith'> & {
      sourceId: string
      headings: boolean
      narrower: 'all' | 'some' | 'none' | undefined
      headingConcepts: string[]
      codes: boolean
      words: boolean
      wordConcepts: string[]
      asked: string[]
      nearnessLost: boolean
    })
  | (Says<'Joined'> & { sourceId: string; join: NonNullable<Join>; counted: boolean })
  | (Says<'LeftOut'> & { sourceId: string })
  | (Says<'LimitsLeft'> & { sourceId: string; steps: { lineId: string; limits: LimitValue[] }[] })
  | (Says<'LimitsHold'> & { sourceId: string })
  | (Says<'Counted'> & { sourceId: string })
  | (Says<'StoodIn'> & { sourceId: string; kind: LimitKind; by: string })
  | (Says<'WithoutQuery'> & { sourceId: string; lineId: string; deed: string })
  | (Says<'LimitNotAvailable'> & { sourceId: string; kinds: LimitKind[] })
  | (Says<'BroughtIn'> & { count: number; ofHits: boolean })
  | Says<'Merged'>
  | (Says<'FoundOnce'> & { count: number })
  | (Says<'RemovedUnread'> & { count: number; reasons: string[] })
  | (Says<'Read'> & { left: number; criterionIds: string[] })
  | (Says<'Agreed'> & { kappa: boolean })
  | (Says<'Sought'> & { count: number; notHad: number; awaited: number })
  | (Says<'ReadInFull'> & {
      out: number
      open: number
      included: number
      reasons: string[]
      /** Nothing is left to read or to decide. */
      finished: boolean
    })
  | Says<'Studies'>

export type ClaimOf<K extends Claim['says']> = Extract<Claim, { says: K }>

/** Paragraphs of claims. */
export type Claims = Claim[][]
