import type { Field } from '../../query'

/** What an example shows: a part of a description. */
export type Shown =
  | { part: 'field'; fields: readonly Field[] }
  | { part: 'heading'; below: boolean; main: boolean }
  | { part: 'class'; below: boolean }
  | { part: 'near'; ordered: boolean }
  | { part: 'op'; op: 'and' | 'or' | 'not' }
  | { part: 'phrase' | 'any' | 'one' | 'upTo' | 'line' | 'years' | 'language' }
  | { part: 'lines'; mode: 'any' | 'all' }

/** A line of examples: a query, and what it shows where that was said. */
export interface Example {
  readonly text: string
  /** As it was said: "title words". */
  readonly said: string
  readonly shows: Shown | undefined
  /** Its place in what was pasted, from 1. */
  readonly at: number
}

const FIELD_NAMES: readonly [RegExp, Field][] = [
  [/\btitles?\b/i, 'title'],
  [/\babstracts?\b|\bsummar/i, 'abstract'],
  [/\bkey ?words?\b|\bauthor'?s?'? terms\b/i, 'keywords'],
  [/\bauthors?\b|\bpersons?\b|\bpeople\b|\bcreators?\b/i, 'author'],
  [/\bjournals?\b|\bserials?\b|\bpublication name\b/i, 'journal'],
  [/\bsubjects?\b/i, 'subject'],
  [/\bplaces?\b|\bcountr/i, 'place'],
  [/\btests?\b|\bmeasures?\b/i, 'test'],
  [/\bdoi\b|\bidentifiers?\b|\baccession/i, 'identifier'],
  [/\bfull ?text\b/i, 'fulltext'],
  [/\blevels?\b|\baudiences?\b/i, 'level'],
  [/\baffiliations?\b|\binstitutions?\b/i, 'affiliation'],
  [/\bissn\b|\bisbn\b|\bstandard numbers?\b/i, 'number'],
  [/\bnotes?\b|\bcontents\b/i, 'notes'],
]

/** What the words beside an example say that it shows; undefined where they say nothing that is known here. */
export function shownBy(said: string): Shown | undefined {
  const below = /\bnarrower\b|\bbelow\b|\bexplod|\btree\b|\bbranch/i.test(said)
  if (/\bheadings?\b|\bdescriptors?\b|\bthesaurus\b|\bsubject terms?\b/i.test(said))
    return { part: 'heading', below, main: /\bmain\b|\bmajor\b|\bfocus\b/i.test(said) }
  if (/\bclass|\bcodes?\b/i.test(said)) return { part: 'class', below }
  if (/\blines?\b|\bsets?\b|\bsearch numbers?\b|\bearlier search/i.test(said)) {
    if (/\bany\b/i.test(said)) return { part: 'lines', mode: 'any' }
    return /\ball\b/i.test(said) ? { part: 'lines', mode: 'all' } : { part: 'line' }
  }
  if (/\bnear|\bwithin\b|\badjacen|\bproximity|\bwords between/i.test(said))
    return { part: 'near', ordered: /\border\b/i.test(said) && !/\b(?:either|any) order\b/i.test(said) }
  if (/\bphrases?\b/i.test(said)) return { part: 'phrase' }
  if (/\b(?:one|single|exactly one) (?:letter|character)/i.test(said)) return { part: 'one' }
  if (/\b(?:up to|at most|no more than)\b.*\b(?:letter|character)/i.test(said)) return { part: 'upTo' }
  if (/\btruncat|\bany ending|\bendings?\b|\bwild ?card|\bstem\b/i.test(said)) return { part: 'any' }
  if (/\byears?\b|\bdates?\b|\bpublished\b/i.test(said)) return { part: 'years' }
  if (/\blanguages?\b/i.test(said)) return { part: 'language' }
  const fields = FIELD_NAMES.flatMap(([name, field]) => (name.test(said) ? [field] : []))
  if (/\btopics?\b|\btext words\b/i.test(said) && !fields.length)
    return { part: 'field', fields: ['title', 'abstract', 'keywords'] }
  if (fields.length) return { part: 'field', fields }
  if (/\bnot\b|\bwithout\b|\bleft out\b|\bexclud/i.test(said)) return { part: 'op', op: 'not' }
  if (/\bor\b|\beither\b|\bany of\b/i.test(said)) return { part: 'op', op: 'or' }
  if (/\band\b|\bboth\b|\ball of\b/i.test(said)) return { part: 'op', op: 'and' }
  return undefined
}

const NUMBERED = /^\s*(?:[#@]?\d{1,4}|[A-Za-z]{1,4}\d{1,4})\s*[.):]?\s+(?=\S)/
const COUNTED = /\s+[\d][\d,.  ]*\s*$/

/**
 * Examples as they are pasted: one a row, or what it shows, a tab, and the example. Numbers before and counts behind make rows
 * of a history: they are taken off where most rows have them. Empty rows are passed over.
 */
export function examplesIn(pasted: string): Example[] {
  const rows = pasted.split('\n').map((row, i) => ({ row: row.trimEnd(), at: i + 1 }))
  const filled = rows.filter(({ row }) => row.trim())
  const split = filled.map(({ row, at }) => {
    const [said = '', ...rest] = row.split('\t')
    const shows = rest.length && /\p{L}/u.test(said) ? shownBy(said) : undefined
    return shows
      ? { said: said.trim(), text: rest.join(' ').trim(), shows, at }
      : { said: '', text: row.replaceAll('\t', ' ').trim(), shows: undefined, at }
  })
  const bare = split.filter((e) => !e.shows)
  const history = bare.length > 1 && bare.filter((e) => COUNTED.test(e.text)).length > bare.length / 2
  const numbered = bare.length > 1 && bare.filter((e) => NUMBERED.test(e.text)).length > bare.length / 2
  return split.map((e) => {
    if (e.shows) return e
    let { text } = e
    if (history) text = text.replace(COUNTED, '')
    if (numbered && history) text = text.replace(NUMBERED, '')
    return { ...e, text: text.trim() }
  })
}

/** The place in a description that an example shows: "fields.title", "truncation.any". */
export const placeOf = (s: Shown): string => {
  switch (s.part) {
    case 'field':
      return `fields.${[...s.fields].sort().join(',')}`
    case 'heading':
      return `headings.${s.below ? (s.main ? 'belowMain' : 'below') : s.main ? 'main' : 'plain'}`
    case 'class':
      return `classes.${s.below ? 'below' : 'plain'}`
    case 'near':
      return `nearness.${s.ordered ? 'ordered' : 'either'}`
    case 'op':
      return `operators.${s.op}`
    case 'lines':
      return `lines.${s.mode === 'any' ? 'anyOf' : 'allOf'}`
    case 'line':
      return 'lines.reference'
    case 'years':
    case 'language':
      return `limits.${s.part}`
    case 'phrase':
      return 'quotes'
    default:
      return `truncation.${s.part}`
  }
}
