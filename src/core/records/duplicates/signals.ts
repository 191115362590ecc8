import { distance } from 'fastest-levenshtein'
import type { Print } from './print'

/** How one thing of two records compares; `unknown` where one of them does not say. */
export type Same = 'same' | 'near' | 'different' | 'unknown'

/** A part of the explanation of a pair. */
export interface Signal {
  of: 'DOI' | 'title' | 'authors' | 'year' | 'journal' | 'volume' | 'issue' | 'first page' | 'abstract'
  same: Same
  /** Between 0 and 1, where it is measured. */
  value?: number
  /** For a person: "the same title, the subtitle missing in one". */
  words: string
}

const equal = (a: string | undefined, b: string | undefined): Same =>
  a === undefined || b === undefined ? 'unknown' : a === b ? 'same' : 'different'

/** Common letters against all, by the shortest way of edits (Levenshtein 1966); between 0 and 1. */
export function likeness(a: string, b: string): number {
  if (a === b) return 1
  const most = Math.max(a.length, b.length)
  if (!most || Math.abs(a.length - b.length) > most * 0.4) return 0
  return 1 - distance(a, b) / most
}

/**
 * The most that the likeness of two titles can be, by their letters alone: every letter that one has more often costs an
 * edit.
 */
export function likenessAtMost(a: Print, b: Print): number {
  const most = Math.max(a.titleText.length, b.titleText.length)
  if (!most) return 0
  let [more, less] = [0, 0]
  for (let i = 0; i < 32; i++) {
    const apart = a.letters[i]! - b.letters[i]!
    if (apart > 0) more += apart
    else less -= apart
  }
  return 1 - Math.max(more, less) / most
}

export interface TitleSignal extends Signal {
  value: number
  /** One of them lacks the subtitle. */
  cut: boolean
}

export function title(a: Print, b: Print): TitleSignal {
  const [one, other] = [a.titleText, b.titleText]
  if (!one || !other)
    return { of: 'title', same: 'unknown', value: 0, cut: false, words: 'a title is missing' }
  if (one === other) return { of: 'title', same: 'same', value: 1, cut: false, words: 'the same title' }
  const [mainA, mainB] = [a.mainText, b.mainText]
  const long = Math.min(a.main.length, b.main.length) >= 3
  if (long && (one === mainB || other === mainA))
    return {
      of: 'title',
      same: 'near',
      value: 0.95,
      cut: true,
      words: 'the same title, the subtitle missing in one',
    }
  const value = likeness(one, other)
  const same: Same = value >= 0.93 ? 'near' : value >= 0.8 ? 'unknown' : 'different'
  return { of: 'title', same, value, cut: false, words: likeWords(one, other, value) }
}

/** How alike two titles are, for a person: what is measured as nothing is no number. */
function likeWords(one: string, other: string, value: number): string {
  if (one.startsWith(`${other} `) || other.startsWith(`${one} `))
    return 'one title is the beginning of the other'
  return value < 0.3 ? 'other titles' : `titles alike to ${Math.floor(value * 100)} %`
}

export function authors(a: Print, b: Print): Signal {
  const at = { of: 'authors' as const }
  if (!a.families.length || !b.families.length)
    return { ...at, same: 'unknown', words: 'authors missing in one' }
  const [few, many] =
    a.families.length <= b.families.length ? [a.families, b.families] : [b.families, a.families]
  // A name that stands twice in one list and once in the other is shared once, whichever list is looked at first.
  const foundIn = (names: readonly string[], others: readonly string[]): number =>
    names.filter((name) => others.some((m) => m === name || likeness(m, name) >= 0.8)).length
  const shared = Math.min(foundIn(few, many), foundIn(many, few))
  const first = likeness(a.families[0]!, b.families[0]!) >= 0.8
  const value = shared / few.length
  if (value === 1 && first) return { ...at, same: 'same', value, words: 'the same authors' }
  if (value >= 0.5) return { ...at, same: 'near', value, words: `${shared} of ${few.length} authors shared` }
  return { ...at, same: 'different', value, words: 'other authors' }
}

export function year(a: Print, b: Print): Signal {
  if (a.year === undefined || b.year === undefined)
    return { of: 'year', same: 'unknown', words: 'a year is missing' }
  const apart = Math.abs(a.year - b.year)
  return {
    of: 'year',
    same: apart === 0 ? 'same' : apart === 1 ? 'near' : 'different',
    words: apart === 0 ? 'the same year' : `${apart} ${apart === 1 ? 'year' : 'years'} apart`,
  }
}

/** Journals, abbreviated or not: "J Learn Spaces" begins each word of "Journal of Learning Spaces". */
export function journal(a: Print, b: Print): Signal {
  const at = { of: 'journal' as const }
  if (!a.journal.length || !b.journal.length) return { ...at, same: 'unknown', words: 'a journal is missing' }
  const meaning = (words: readonly string[]): string[] =>
    words.filter(
      (w) => !['the', 'of', 'and', 'in', 'for', 'der', 'die', 'und', 'fur', 'de', 'y', 'on'].includes(w),
    )
  const [one, other] = [meaning(a.journal), meaning(b.journal)]
  if (one.join(' ') === other.join(' ')) return { ...at, same: 'same', words: 'the same journal' }
  const begins =
    one.length === other.length && one.every((w, i) => w.startsWith(other[i]!) || other[i]!.startsWith(w))
  return begins
    ? { ...at, same: 'near', words: 'the same journal, abbreviated in one' }
    : { ...at, same: 'different', words: 'another journal' }
}

const SHINGLE = 5
/** The share of runs of five words that two abstracts have in common, of the shorter one's. */
export function abstracts(a: Print, b: Print): Signal {
  const at = { of: 'abstract' as const }
  if (!a.abstract || !b.abstract) return { ...at, same: 'unknown', words: 'an abstract is missing' }
  // Most copies of one abstract are the same letter by letter.
  if (a.abstract === b.abstract) return { ...at, same: 'same', value: 1, words: 'the same abstract' }
  const [short, long] =
    a.abstract.length < b.abstract.length ? [a.abstract, b.abstract] : [b.abstract, a.abstract]
  // Or one is the beginning of the other.
  if (long.startsWith(short.replace(/\s*(?:…|\.{3})$/, '')))
    return { ...at, same: 'same', value: 1, words: 'the same abstract' }
  const [one, other] = [runsOf(a.abstract), runsOf(b.abstract)]
  const [few, many] = one.size <= other.size ? [one, other] : [other, one]
  let shared = 0
  for (const run of few) if (many.has(run)) shared++
  const value = few.size ? shared / few.size : 0
  return {
    ...at,
    same: value >= 0.7 ? 'same' : value >= 0.25 ? 'near' : 'different',
    value,
    words: value >= 0.7 ? 'the same abstract' : `abstracts share ${Math.floor(value * 100)} %`,
  }
}
function runsOf(text: string): Set<string> {
  const words = text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []
  const runs = new Set<string>()
  for (let i = 0; i + SHINGLE <= words.length; i++) runs.add(words.slice(i, i + SHINGLE).join(' '))
  return runs
}

const plain = (of: Signal['of'], same: Same): Signal => ({
  of,
  same,
  words: same === 'same' ? `the same ${of}` : same === 'unknown' ? `${of} missing in one` : `another ${of}`,
})

export interface Signals {
  doi: Signal
  title: TitleSignal
  authors: Signal
  year: Signal
  journal: Signal
  volume: Signal
  issue: Signal
  page: Signal
}

/** Everything that is compared of two records but their abstracts, which are dear and only read where it matters. */
export const signalsOf = (a: Print, b: Print): Signals => ({
  doi: plain('DOI', equal(a.doi, b.doi)),
  title: title(a, b),
  authors: authors(a, b),
  year: year(a, b),
  journal: journal(a, b),
  volume: plain('volume', equal(a.volume, b.volume)),
  issue: plain('issue', equal(a.issue, b.issue)),
  page: plain('first page', equal(a.page, b.page)),
})
