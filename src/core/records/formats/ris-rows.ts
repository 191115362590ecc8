import { languageCode } from '../../query'
import { doiIn } from '../identifiers'
import type { Rec } from '../record'

/** What the RIS types are called here; a type that is not in the list is kept as its code. */
export const TYPES: Record<string, string> = {
  JOUR: 'journal article',
  CPAPER: 'conference paper',
  CONF: 'conference paper',
  THES: 'thesis',
  RPRT: 'report',
  CHAP: 'chapter',
  BOOK: 'book',
}
/** The code that a type is written with; of two codes for one type, the first. */
export const CODES: Record<string, string> = Object.fromEntries(
  Object.entries(TYPES)
    .reverse()
    .map(([code, type]) => [type, code]),
)

/** What has to be known of the whole record: pages are two tags and one field, and a type in words is finer than its code. */
export interface Pages {
  from?: string
  to?: string
  kind?: string
}

/**
 * How a value of a tag goes into its field: `all` of it did, only `part` of it (the rest is kept by its tag too), or
 * `none`. What does not go in is never dropped: it is kept by its tag, in order, and written back.
 */
export type Taken = 'all' | 'part' | 'none'
type Policy = (record: Rec, value: string, pages: Pages) => Taken

type TextField = 'title' | 'abstract' | 'journal' | 'volume' | 'issue' | 'issn' | 'url' | 'doi' | 'language'

/** The first value is the field's; another that says something else is kept by its tag. */
const first =
  (field: TextField, read: (value: string) => string = (v) => v): Policy =>
  (record, value) => {
    const own = read(value)
    if (record[field] !== undefined && record[field] !== '') return record[field] === own ? 'all' : 'none'
    record[field] = own
    return 'all'
  }

/** Every value is one more of a list. */
const each: Policy = (record, value) => {
  record.authors.push(value)
  return 'all'
}

const keywords: Policy = (record, value) => {
  record.keywords.push(...value.split(/\s*;\s*/).filter(Boolean))
  return 'all'
}

/** The year of a date; month and day, and a second year, are kept by the tag. */
const year: Policy = (record, value) => {
  const found = Number(/(?<!\d)[12]\d{3}(?!\d)/.exec(value)?.[0])
  if (!found || (record.year !== undefined && record.year !== found)) return 'none'
  record.year = found
  return /^\d{4}$/.test(value.trim()) ? 'all' : 'part'
}

const page =
  (end: 'from' | 'to'): Policy =>
  (_record, value, pages) => {
    if (pages[end] !== undefined) return pages[end] === value ? 'all' : 'none'
    pages[end] = value
    return 'all'
  }

/** A type in words, which is finer than the code; an identifier that stands here is one. */
const kind: Policy = (record, value, pages) => {
  const doi = /^(?:doi:|https?:\/\/(?:dx\.)?doi\.org\/|10\.\d{4,9}\/)/i.test(value) && doiIn(value)
  if (doi) return first('doi')(record, doi, {})
  if (pages.kind !== undefined) return value === pages.kind || value === record.type ? 'all' : 'none'
  pages.kind = value
  record.type = value.toLowerCase()
  return record.type === value ? 'all' : 'part'
}

const code: Policy = (record, value) => {
  record.type = TYPES[value] ?? value
  // Of two codes for one type only one is written: the other is kept.
  return TYPES[value] === undefined || CODES[record.type] === value ? 'all' : 'part'
}

const number: Policy = (record, value) => {
  record.id = value
  return 'all'
}

const bareDoi = (value: string): string => value.replace(/^(?:https?:\/\/(?:dx\.)?doi\.org\/|doi:\s*)/i, '')

/** What each tag means: tag, field, policy. A tag that stands in no row is kept as it is. */
const ROWS: readonly (readonly [tags: string, policy: Policy])[] = [
  ['TY', code],
  ['ID', number],
  ['TI T1', first('title')],
  ['AB N2', first('abstract')],
  ['AU A1', each],
  ['KW', keywords],
  ['T2 JO JF', first('journal')],
  ['PY Y1', year],
  ['VL', first('volume')],
  ['IS', first('issue')],
  ['SP', page('from')],
  ['EP', page('to')],
  ['LA', first('language', languageCode)],
  ['DO', first('doi', bareDoi)],
  ['SN', first('issn')],
  ['UR', first('url')],
  ['M3', kind],
]

export const POLICIES: ReadonlyMap<string, Policy> = new Map(
  ROWS.flatMap(([tags, policy]) => tags.split(' ').map((tag) => [tag, policy] as const)),
)
