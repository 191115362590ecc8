import type { LimitValue } from '../../query'
import type { Source, TakenOver } from '../../review'
import type { ClaimOf, Evidence } from '../claims'
import type { Stage } from '../facts'
import type { ToldSaying } from '../sayings'

/** When in the course of the work something was done, for telling it in order of time. */
export type Phase = 'planned' | 'searched' | 'again' | 'screened' | 'judged'
/** The parts of a section that is told by theme. */
export type Theme = 'where' | 'words' | 'screened' | 'judged'

interface Told<Kind extends string> {
  tells: Kind
  theme: Theme
  phase: Phase
  stage: Stage
  on: Evidence
  /** It stays in the short form. */
  core?: true
}

/** A limit with the reason that was given for it. */
export interface ReasonedLimit {
  limitId: string
  limit: LimitValue
  reason: string
}
/** Databases of which the same is to be said. */
export interface Alike<T> {
  sourceIds: string[]
  what: T
}
/** How lines were joined: concepts by groups of alternatives, or as it is written. */
export type Way = Omit<ClaimOf<'SearchedWith'>, 'says' | 'on' | 'sourceId'> & {
  fields: string
  join: ClaimOf<'Joined'>['join'] | undefined
}

/**
 * What is told in one sentence or a few: claims that are alike, put together. Order and number of sources are settled here,
 * words are not.
 */
export type Grouped =
  | Told<'asked'>
  | (Told<'broken'> & { alternatives: string[][] })
  | (Told<'not required'> & { conceptIds: string[]; reason: string })
  | (Told<'protocol'> & {
      /** Something has been searched. */
      begun: boolean
      beforeSearch: boolean
      registered: boolean
      /** In short: in how many points it was departed from. */ points?: number
    })
  | (Told<'amended'> & { times: number; reason: string })
  | (Told<'departed'> & { points: number })
  | (Told<'searched'> & { sourceIds: string[]; table: boolean })
  | (Told<'together'> & { sourceId: string; platform: boolean })
  | (Told<'to search'> & { sourceIds: string[]; besides: boolean })
  | (Told<'indexed'> & { sourceIds: string[]; of: number })
  | (Told<'chosen'> & { reasons: Alike<string>[]; /** There is but one database. */ only: boolean })
  | (Told<'dated'> & { spells: Alike<number[]>[]; all: boolean; revised: boolean; counted: boolean })
  | (Told<'other way'> & {
      sourceId: string
      kind: Source['kind']
      done: boolean
      reason: string
      /** The first, second, … of them. */
      nth: number
      /** No database was searched or is to be. */
      alone: boolean
    })
  | (Told<'other ways'> & { ways: { sourceId: string; kind: Source['kind'] }[] })
  | (Told<'pages'> & { sourceId: string; count: number })
  | (Told<'ways'> & { ways: Alike<Way>[]; all: boolean; concepts: number })
  | (Told<'no nearness'> & { sourceIds: string[] })
  | (Told<'without query'> & { sourceId: string; lineId: string; deed: string })
  | (Told<'taken over'> & { what: TakenOver['what']; name: string; changed: string; sourceIds: string[] })
  | (Told<'reviewed'> & Omit<ClaimOf<'SearchesReviewed'>, 'says' | 'on'>)
  | (Told<'left out'> & { sourceIds: string[] })
  | (Told<'terms'> & { count: number; byYield: boolean; appendix: boolean; few?: true })
  | (Told<'no heading'> & { gaps: { gapId: string; sourceId: string }[] })
  | (Told<'dropped'> & { count: number; reasoned: boolean })
  | (Told<'known'> & {
      when: ClaimOf<'KnownNamed'>['when']
      count: number
      found?: { found: number; of: number; outside: number }
    })
  | (Told<'found'> & { found: number; of: number; outside: number })
  | (Told<'limits'> & {
      limits: ReasonedLimit[]
      how: 'kept' | 'planned' | 'dropped'
      /** In short: some databases lack one of them, or have something that stands in for it. */
      partly?: true
    })
  | (Told<'limit in some'> & { limit: ReasonedLimit; sourceIds: string[] })
  | (Told<'no limit'> & { kinds: Alike<LimitValue['kind'][]>[] })
  | (Told<'stood in'> & { kind: LimitValue['kind']; by: Alike<string>[] })
  | (Told<'saying'> & ToldSaying & { short?: true })

export type GroupedOf<K extends Grouped['tells']> = Extract<Grouped, { tells: K }>
