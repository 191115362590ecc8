import type { DocSet, Index } from '../../engine'
import type { Loss, Profile } from '../../profile'
import type { Expr, LimitValue } from '../../query'
import type { Thesaurus } from '../../vocabulary'
import type { Problem } from '../../base'
import type { PlanTerm } from '../draft/draft'
import type { LineLike } from '../lines/keys'
import type { ConceptEvidence, Part, SearchTree } from '../tree'
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

/**
 * What kind of thing is said. A fault of form holds whatever it costs; loss or noise is only worth a word where it is measured
 * and not small; tidying changes nothing that is found.
 */
export const REMARK_CLASSES = ['form', 'gain', 'tidying'] as const
export type RemarkClass = (typeof REMARK_CLASSES)[number]

/** One line as it was read and what it found; `docs` is undefined where it could not be run. */
export interface CheckedLine extends LineLike {
  number: number
  conceptId?: string | undefined
  tree: Expr | undefined
  /** What reading its text found to say. */
  problems: readonly Problem[]
  docs: DocSet | undefined
  /** How many it finds: of `docs`, or as they were logged where the records lie outside. */
  hits: number | undefined
  losses: readonly Loss[]
}

/** The plan, the lines of one source with what they found, and how the source speaks. */
export interface CheckContext {
  concepts: readonly { id: string; letter: string; name: string; essential: boolean }[]
  /** Groups of concepts of which one is enough. */
  alternatives?: readonly { conceptIds: readonly string[] }[]
  terms: readonly PlanTerm[]
  limits: readonly LimitValue[]
  sourceId: string
  profile: Profile
  lines: readonly CheckedLine[]
  /** The line that somebody chose to count; absent: the last one with a text. */
  countingId?: string | undefined
  /** Are its records here? Where they are not, `index` is empty, and what needs records is not remarked on. */
  searched: boolean
  index: Index
  thesaurus: Thesaurus | undefined
  pairs: SpellingPairs
  /** Records that a good search must find, and those ruled in. */
  wanted: ReadonlySet<number>
  /** Records that were ruled out. */
  unwanted: ReadonlySet<number>
  /** Where the records lie elsewhere: those that were brought in of this search, `index` being theirs, and what was ruled of them. */
  brought?:
    | {
        size: number
        find: (e: Expr) => DocSet
        in: ReadonlySet<number>
        out: ReadonlySet<number>
      }
    | undefined
  /** What the source finds for an expression as it is sent there; nothing where the records lie elsewhere. */
  find: (e: Expr) => DocSet
  /** What the source cannot say of it. */
  lossesOf: (e: Expr) => readonly Loss[]
  /** Those of these records that a limit lets through. */
  limited: (docs: DocSet, limit: LimitValue) => DocSet
}

/** What the rules look at: the same, with the search that was built and what its parts are about. */
export interface Judging extends CheckContext {
  search: SearchTree
  about: ConceptEvidence
  /** The line that would count, since it stands last, though it joins nothing; undefined where another was taken for judging. */
  triedLast: CheckedLine | undefined
}

/** A ready change of one line. */
export interface Fix {
  label: string
  lineId: string
  text: string
  /** The limits of the line as they would be; absent: as they are. */
  limits?: readonly LimitValue[]
}

export interface Remark {
  /** Names the rule, and with `at` the place: what is left once stays left. */
  code: string
  kind: RemarkClass
  element: Element
  /** The line concerned, or the concept. */
  lineId?: string
  conceptId?: string
  /** What tells two remarks of one rule on one line apart. */
  about: string
  message: string
  why: string
  /** What the first change would bring in the line that counts; absent where nothing was measured. */
  gain?: { hits: number; wanted: number }
  /** Ready changes, of which one is enough; the best first. */
  fixes: readonly Fix[]
}

/** A remark with the parts that it explains: what follows from them is not remarked on. */
export interface Finding extends Remark {
  owns?: readonly Part[]
  /** What is only said if nothing below this part is explained already: it may follow from that. */
  above?: Part
}

export type Rule = (context: Judging) => Finding[]

/** What a remark is remembered by when somebody leaves it. */
export const remarkKey = (r: Remark): string => [r.code, r.lineId ?? r.conceptId ?? '', r.about].join('/')
