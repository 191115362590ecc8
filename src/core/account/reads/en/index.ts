import type { SayingName } from '../../sayings'
import { asked, divided, oneEnough, notRequired, type NotRequired, type OneEnough } from './question'
import {
  protocolFrozen,
  protocolAmended,
  departed,
  type ProtocolAmended,
  type ProtocolFrozen,
} from './protocol'
import {
  searched,
  toSearch,
  toSearchBesides,
  indexed,
  chosen,
  together,
  searchedOn,
  searchedAgain,
  type Chosen,
  type Indexed,
  type Searched,
  type SearchedOn,
  type Together,
} from './sources'
import { wayGone, waysAtOnce, wayPlanned, pagesNoted, type WayGone, type WaysAtOnce } from './ways'
import {
  askedWith,
  askedOtherwise,
  noNearness,
  leftOut,
  withoutQuery,
  takenOver,
  type MadeOf,
  type TakenOverRead,
  type WithoutQuery,
} from './asked-with'
import { terms, noHeading, dropped, type NoHeading, type Terms } from './terms'
import { knownNamed, knownAdded, knownFound, type KnownFound, type KnownNamed } from './known'
import {
  limitsKept,
  limitsPlanned,
  limitsDropped,
  limitInSome,
  noLimit,
  stoodIn,
  type InSomeRead,
  type LimitsRead,
} from './limits-planned'
import { searchReviewed, pointsRaised, type PointsRead, type SearchReviewedRead } from './search-reviewed'
import { agreedOn, type AgreedOn } from './agreed'
import { broughtShort, type BroughtShort } from './brought-short'
import { cameIn, type CameIn } from './came-in'
import { countsByHand, countsCorrected, type ByHand } from './counts'
import { stemmed, type Stemmed } from './stemmed'
import { searchedBefore, type SearchedBefore } from './searched-before'
import { deposited, type Deposited } from './deposited'
import { headingsSeen, type HeadingsSeen } from './headings-seen'
import { limitsBeyond, type LimitsBeyond } from './limits-beyond'
import { numberIn, partsOf } from './number'
import { reasonsIn } from './reasons'
import { removedUnread, type RemovedUnread } from './removed-unread'
import { searchAgain, type SearchAgain } from './search-again'
import { searchesWithout, type Without } from './searches-without'
import { settledOf, type SettledOf } from './settled'
import { studies } from './studies'
import { textsSought, type TextsSoughtRead } from './texts-sought'
import { updateBrought, type UpdateBrought } from './update-brought'
import { sourceGone, type SourceGone } from './source-gone'
import { textsReasons } from './texts-reasons'
import { notPartly } from './not-partly'
import { notSent, type NotSent } from './not-sent'
import { phrasesSentApart, type PhrasesApart } from './phrases-apart'
import { truncation, type Truncation } from './truncation'
import { wayFollowed, type Followed } from './way-followed'
import { wayLooked, type Looked } from './way-looked'
import { wayPeople, type PeopleAsked } from './way-people'
import { waysNotGone, type NotGone } from './ways-not-gone'
import { whoRead, type ReadByMany } from './who-read'

export interface TitlesRead {
  read: number
  of?: number
  kept: number
  out: number
  open: number
  toSettle: number
  /** In short: open and to settle together. */
  undecided?: number
  /** Absent in short: how many are left follows from the whole. */
  left?: number
}
export interface TextsRead {
  read: number
  noText: number | 'all'
  out: number
  reasons: { words: string; count: number }[]
  open: number
  toSettle: number
  kept: number
}
export interface Asked {
  questions: { words: string; outIf: 'yes' | 'no' }[]
  each: boolean
  others: number
  notNoted: number
}
export interface Duplicates {
  rules?: number
  /** A preprint and its article are said to be one work. */
  versions: boolean
  byHand: number
  /** Pairs that nobody has judged yet. */
  open: number
}
export interface Shown {
  orders: { order: string; works?: number }[]
  unknown: number
}

/** What each printed sentence says, taken apart; undefined: it is another sentence. */
export interface Reads {
  asked: { question: string }
  divided: { names: string }
  'one-enough': OneEnough
  'not-required': NotRequired
  'protocol-frozen': ProtocolFrozen
  'protocol-amended': ProtocolAmended
  departed: { points: number }
  searched: Searched
  'to-search': Searched
  'to-search-besides': { names: string }
  indexed: Indexed
  chosen: Chosen
  together: Together
  'searched-on': SearchedOn
  'searched-again': SearchedOn
  'searched-before': SearchedBefore
  'way-gone': WayGone
  'ways-at-once': WaysAtOnce
  'way-planned': { name: string; reason?: string }
  'pages-noted': { count: number; of: string[] }
  'asked-with': MadeOf
  'asked-otherwise': MadeOf[]
  'no-nearness': { names: string }
  'left-out': { sources: { name: string; what: string }[] }
  'without-query': WithoutQuery
  'taken-over': TakenOverRead
  terms: Terms
  'no-heading': NoHeading
  dropped: { count: number; reasoned: boolean }
  'known-named': KnownNamed
  'known-added': { count: number; found?: KnownFound }
  'known-found': KnownFound
  'limits-kept': LimitsRead
  'limits-planned': LimitsRead
  'limits-dropped': LimitsRead
  'limit-in-some': InSomeRead
  'no-limit': { lacking: { names: string; kinds: string[] }[] }
  'stood-in': { kind: string; by: { names: string; what: string }[] }
  'search-reviewed': SearchReviewedRead
  'points-raised': PointsRead
  'came-in': CameIn
  'removed-unread': RemovedUnread
  'titles-agreed': AgreedOn
  'texts-agreed': AgreedOn
  'titles-settled': SettledOf
  'texts-settled': SettledOf
  'texts-sought': TextsSoughtRead
  studies: { studies: number }
  'update-brought': UpdateBrought
  'brought-short': BroughtShort
  duplicates: Duplicates
  'titles-read': TitlesRead
  'titles-who': ReadByMany[]
  'titles-asked': Asked
  'titles-order': Shown
  'texts-read': TextsRead
  'texts-who': ReadByMany[]
  'texts-asked': Asked
  'texts-reasons': { own: number }
  'way-followed': Followed
  'way-looked': Looked
  'way-people': PeopleAsked
  'ways-not-gone': NotGone
  'source-gone': SourceGone
  'search-again': SearchAgain
  deposited: Deposited
  'headings-seen': HeadingsSeen
  truncation: Truncation
  stemmed: Stemmed
  'phrases-apart': PhrasesApart
  'not-sent': NotSent
  'not-partly': NotSent
  'limits-beyond': LimitsBeyond
  'searches-without': Without
  'counts-by-hand': ByHand
  'counts-corrected': { runs: number }
}

/** Numbers before what is said of them: "5 are left open" under `left open`. */
function counts(list: string, what: Readonly<Record<string, RegExp>>): Record<string, number> | undefined {
  const found: Record<string, number> = {}
  for (const part of partsOf(list)) {
    const [name] = Object.entries(what).find(([, words]) => words.test(part)) ?? []
    const n = numberIn(/^(none|[\d,]+)/.exec(part)?.[1])
    if (name === undefined || n === undefined || name in found) return undefined
    found[name] = n
  }
  return found
}

const TITLES = {
  kept: / went on to full text$/,
  out: / (?:was|were) set aside$/,
  open: / (?:(?:is|are|was|were) left )?open$/,
  toSettle: / (?:is to be settled|are to be settled|to settle)$/,
  undecided: / undecided$/,
  left: / (?:unread|(?:is|are) still to be read)$/,
}

function titlesRead(sentence: string): TitlesRead | undefined {
  const m =
    /^(?:(?:We|I) (?:have (?:so far )?)?read|So far (?:we|I) have read|So far|Read were)? ?[Tt]itles and abstracts of ([\d,]+)(?: of ([\d,]+))? works?(?: (?:have (?:so far )?been|were) read)?: (.*)\.$/.exec(
      sentence,
    )
  const all = m && counts(m[3]!.replace('; ', ', '), TITLES)
  const read = numberIn(m?.[1])
  if (!all || read === undefined) return undefined
  const of = numberIn(m?.[2])
  return {
    read,
    ...(of === undefined ? {} : { of }),
    kept: all.kept ?? 0,
    out: all.out ?? 0,
    open: all.open ?? 0,
    toSettle: all.toSettle ?? 0,
    ...(all.undecided === undefined ? {} : { undecided: all.undecided }),
    ...(all.left === undefined ? {} : { left: all.left }),
  }
}

const TEXTS = {
  out: / (?:was|were) set aside$/,
  open: / (?:was|were) left open$/,
  toSettle: / (?:is|are) to be settled$/,
  kept: / (?:remained|remains|remain)$/,
}

function textsRead(sentence: string): TextsRead | undefined {
  const m =
    /^(?:Of|Reading) ([\d,]+) works?(?: that (?:we|I)? ?(?:ha(?:ve|s) so far (?:been )?read|(?:were|was) read|read)| read)? in full(?: so far)?(?: \((?:([\d,]+) of them )?(without a text noted)\))?(?:,| (?:has so far given|gave) this:) (.*)\.$/.exec(
      sentence,
    )
  const read = numberIn(m?.[1])
  if (!m || read === undefined) return undefined
  const why = / \((.*)\)/.exec(m[4]!)?.[1]
  const all = counts(m[4]!.replace(/ \(.*\)/, ''), TEXTS)
  if (!all) return undefined
  return {
    read,
    noText: m[3] === undefined ? 0 : (numberIn(m[2]) ?? 'all'),
    out: all.out ?? 0,
    reasons: reasonsIn(why),
    open: all.open ?? 0,
    toSettle: all.toSettle ?? 0,
    kept: all.kept ?? 0,
  }
}

function titlesAsked(sentence: string): Asked | undefined {
  const m =
    /^(?:(?:One question was|These questions were) asked( of each)?|(?:Asked of (each) was one question|(Each) was asked)|The question was this one|The questions were these): (.*)\.$/.exec(
      sentence,
    )
  return m ? questionsIn(m[4]!, (m[1] ?? m[2] ?? m[3]) !== undefined) : undefined
}

function textsAsked(sentence: string): Asked | undefined {
  const m =
    /^(?:(?:One question was|These questions were) asked of (?:(each) full text|full texts)|(?:Asked of (each) full text was one question|(Each) full text was asked)|The question of full texts was this one|The questions of full texts were these): (.*)\.$/.exec(
      sentence,
    )
  return m ? questionsIn(m[4]!, (m[1] ?? m[2] ?? m[3]) !== undefined) : undefined
}

/** Questions with what leads out, and of how many works they were not these. */
function questionsIn(list: string, each: boolean): Asked | undefined {
  const parts = list.split(/; (?=(?:[^()]|\([^()]*\))*$)/)
  const questions: Asked['questions'] = []
  let [others, notNoted] = [0, 0]
  for (const part of parts) {
    const q = /^(.*) \(set aside if (not|so)\)$/.exec(part)
    if (q) questions.push({ words: q[1]!, outIf: q[2] === 'not' ? 'no' : 'yes' })
    else {
      others = numberIn(/([\d,]+) works? (?:was|were) ruled while they read otherwise/.exec(part)?.[1]) ?? 0
      notNoted = numberIn(/of ([\d,]+) works? it is not noted what was asked/.exec(part)?.[1]) ?? 0
      if (!others && !notNoted) return undefined
    }
  }
  return questions.length ? { questions, each, others, notNoted } : undefined
}

const ORDERS: Readonly<Record<string, string>> = {
  'as they came': 'source',
  'from the newest to the oldest': 'year',
  'in an order of chance': 'chance',
  'with those first that were most like the ones already kept': 'likely',
}

function titlesOrder(sentence: string): Shown | undefined {
  const all = /^(?:Works|They) were shown (.*)\.$/.exec(sentence)
  if (all) {
    const order = ORDERS[all[1]!]
    return order ? { orders: [{ order }], unknown: 0 } : undefined
  }
  const m =
    /^(?:Of|Among) these works, ([\d,]+ (?:was|were) shown .*?)(?:; of ([\d,]+) works? it is not known)?\.$/.exec(
      sentence,
    )
  if (!m) return undefined
  const orders = m[1]!.split(/, | and /).map((part) => {
    const p = /^([\d,]+) (?:(?:was|were) shown )?(.*)$/.exec(part)
    return { works: numberIn(p?.[1]) ?? Number.NaN, order: ORDERS[p?.[2] ?? ''] ?? '?' }
  })
  return { orders, unknown: numberIn(m[2]) ?? 0 }
}

function duplicates(sentence: string): Duplicates | undefined {
  const m =
    /^(?:Duplicates were looked for by hand: |By hand duplicates were looked for: |(?:Duplicates were looked for by|By) the rules of Luvren \(version (\d+)\)(, for which a preprint and its article are one work)?(?:,? duplicates were looked for)?(?:, and )?)(?:([\d,]+) pairs? (?:was|were) judged by hand)?(?:; ([\d,]+) pairs? that may be one work (?:is|are) still to be judged)?\.$/.exec(
      sentence,
    )
  const rules = numberIn(m?.[1])
  return m
    ? {
        ...(rules === undefined ? {} : { rules }),
        versions: m[2] !== undefined,
        byHand: numberIn(m[3]) ?? 0,
        open: numberIn(m[4]) ?? 0,
      }
    : undefined
}

/** Takes printed sentences apart, in every voice, order and length; written apart from the words that make them. */
export const READS: { readonly [N in SayingName]: (sentence: string) => Reads[N] | undefined } = {
  asked,
  divided,
  'one-enough': oneEnough,
  'not-required': notRequired,
  'protocol-frozen': protocolFrozen,
  'protocol-amended': protocolAmended,
  departed,
  searched,
  'to-search': toSearch,
  'to-search-besides': toSearchBesides,
  indexed,
  chosen,
  together,
  'searched-on': searchedOn,
  'searched-again': searchedAgain,
  'searched-before': searchedBefore,
  'way-gone': wayGone,
  'ways-at-once': waysAtOnce,
  'way-planned': wayPlanned,
  'pages-noted': pagesNoted,
  'asked-with': askedWith,
  'asked-otherwise': askedOtherwise,
  'no-nearness': noNearness,
  'left-out': leftOut,
  'without-query': withoutQuery,
  'taken-over': takenOver,
  terms,
  'no-heading': noHeading,
  dropped,
  'known-named': knownNamed,
  'known-added': knownAdded,
  'known-found': knownFound,
  'limits-kept': limitsKept,
  'limits-planned': limitsPlanned,
  'limits-dropped': limitsDropped,
  'limit-in-some': limitInSome,
  'no-limit': noLimit,
  'stood-in': stoodIn,
  'search-reviewed': searchReviewed,
  'points-raised': pointsRaised,
  'came-in': cameIn,
  'removed-unread': removedUnread,
  'titles-agreed': (s) => agreedOn(s, 'titles'),
  'texts-agreed': (s) => agreedOn(s, 'texts'),
  'titles-settled': (s) => settledOf(s, 'titles'),
  'texts-settled': (s) => settledOf(s, 'texts'),
  'texts-sought': textsSought,
  studies,
  'update-brought': updateBrought,
  'brought-short': broughtShort,
  duplicates,
  'titles-read': titlesRead,
  'titles-who': (s) => whoRead(s, 'titles'),
  'titles-asked': titlesAsked,
  'titles-order': titlesOrder,
  'texts-read': textsRead,
  'texts-who': (s) => whoRead(s, 'texts'),
  'texts-asked': textsAsked,
  'texts-reasons': textsReasons,
  'way-followed': wayFollowed,
  'way-looked': wayLooked,
  'way-people': wayPeople,
  'ways-not-gone': waysNotGone,
  'source-gone': sourceGone,
  'search-again': searchAgain,
  deposited,
  'headings-seen': headingsSeen,
  truncation,
  stemmed,
  'phrases-apart': phrasesSentApart,
  'not-sent': notSent,
  'not-partly': notPartly,
  'limits-beyond': limitsBeyond,
  'searches-without': searchesWithout,
  'counts-by-hand': countsByHand,
  'counts-corrected': countsCorrected,
}

export type { Time } from './days'
export type { ReadByMany } from './who-read'
export type { FieldsRead } from './asked-with'
export type { Look } from './search-reviewed'
export type {
  Chosen,
  Indexed,
  KnownFound,
  KnownNamed,
  InSomeRead,
  LimitsRead,
  MadeOf,
  NoHeading,
  NotRequired,
  OneEnough,
  PointsRead,
  ProtocolAmended,
  ProtocolFrozen,
  SearchReviewedRead,
  Searched,
  SearchedOn,
  TakenOverRead,
  Terms,
  Together,
  WayGone,
  WaysAtOnce,
  WithoutQuery,
  AgreedOn,
  CameIn,
  RemovedUnread,
  SettledOf,
  TextsSoughtRead,
  UpdateBrought,
  BroughtShort,
  ByHand,
  Followed,
  HeadingsSeen,
  LimitsBeyond,
  Looked,
  NotGone,
  PeopleAsked,
  NotSent,
  PhrasesApart,
  SearchAgain,
  SourceGone,
  Truncation,
  Without,
}
