import type { DocSet, Index } from '../../engine'
import type { Loss, Profile } from '../../profile'
import type { Expr, LimitValue } from '../../query'
import type { Thesaurus } from '../../vocabulary'
import type { PlanTerm } from '../draft/draft'
import type { LineLike } from '../lines/keys'
import type { SpellingPairs } from '../words'

/** The six elements of the PRESS 2015 guideline (McGowan et al., J Clin Epidemiol 2016;75:40–46). */
export const ELEMENTS = [
  'Translation of the question',
  'Boolean and proximity operators',
  'Subject headings',
  'Text words',
  'Spelling, syntax and line numbers',
  'Limits and filters',
] as const
export type Element = (typeof ELEMENTS)[number]

/** One line as it was read and what it found; `docs` is undefined where it could not be run. */
export interface CheckedLine extends LineLike {
  number: number
  conceptId?: string | undefined
  tree: Expr | undefined
  docs: DocSet | undefined
  /** How many it finds: of `docs`, or as they were logged where the records lie outside. */
  hits: number | undefined
  losses: readonly Loss[]
}

/** What the rules look at: the plan, the lines of one source with what they found, and how the source speaks. */
export interface CheckContext {
  concepts: readonly { id: string; letter: string; name: string; essential: boolean }[]
  terms: readonly PlanTerm[]
  limits: readonly LimitValue[]
  sourceId: string
  profile: Profile
  lines: readonly CheckedLine[]
  /** Are its records here? Where they are not, `index` is empty, and what needs records is not remarked on. */
  searched: boolean
  index: Index
  thesaurus: Thesaurus | undefined
  pairs: SpellingPairs
  /** Records that a good search must find, and those ruled in. */
  wanted: ReadonlySet<number>
  find: (e: Expr) => DocSet
}

export interface Remark {
  /** Names the rule, and with `at` the place: what is left once stays left. */
  code: string
  element: Element
  /** The line concerned, or the concept. */
  lineId?: string
  conceptId?: string
  /** What tells two remarks of one rule on one line apart. */
  about: string
  message: string
  why: string
  /** A ready change: the line's text as it would be. */
  fix?: { label: string; lineId: string; text: string }
}

export type Rule = (context: CheckContext) => Remark[]

/** What a remark is remembered by when somebody leaves it. */
export const remarkKey = (r: Remark): string => [r.code, r.lineId ?? r.conceptId ?? '', r.about].join('/')
