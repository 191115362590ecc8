import type { LimitKind, LimitValue } from '../../query'
import type { Applied } from '../standing'
import type { Join } from '../joins'
import type { WhenLooked } from '../search-looks'
import type { SearchReviewed, TakenOver } from '../../review'

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
  | (Says<'ProtocolFrozen'> & { begun: boolean; beforeSearch: boolean; registered: boolean })
  | (Says<'ProtocolAmended'> & { times: number; reason: string })
  | (Says<'SearchesReviewed'> & {
      reader: string
      as: string
      /** When the look was finished, and where there was an earlier one, when the first of them was. */
      when: WhenLooked
      first?: WhenLooked
      /** Of how many of the databases that were searched, where it is known and was not of all. */
      of?: { looked: number; searched: number }
      verdict?: NonNullable<SearchReviewed['verdict']>
      taken: number
      declined: number
      waiting: number
    })
  | (Says<'Departed'> & { points: number })
  | (Says<'KnownNamed'> & { when: 'before' | 'any' | 'while' | 'later'; count: number })
  | (Says<'KnownFound'> & { found: number; of: number; outside: number })
  | (Says<'SourcesSearched'> & { sourceIds: string[] })
  | (Says<'SourcesPlanned'> & { sourceIds: string[]; besides: boolean })
  | (Says<'SourcesIndexed'> & { sourceIds: string[] })
  | (Says<'SourceChosen'> & { sourceId: string; reason: string })
  | (Says<'SearchedTogether'> & { sourceId: string; platform: boolean })
  | (Says<'SearchedOn'> & {
      sourceId: string
      spells: number
      revised: boolean
      /** The run that counts is one of the last time of searching. */
      counted: boolean
    })
  | (Says<'PagesSeen'> & { sourceId: string; count: number })
  | (Says<'OtherSource'> & { sourceId: string; kind: string; done: boolean; reason: string })
  | Says<'TermsGathered'>
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
  | (Says<'TookOver'> & { sourceId: string; what: TakenOver['what']; name: string; changed: string })
  | (Says<'LeftOut'> & { sourceId: string })
  | (Says<'StoodIn'> & { sourceId: string; kind: LimitKind; by: string })
  | (Says<'WithoutQuery'> & { sourceId: string; lineId: string; deed: string })
  | (Says<'LimitNotAvailable'> & { sourceId: string; kinds: LimitKind[] })

export type ClaimOf<K extends Claim['says']> = Extract<Claim, { says: K }>
