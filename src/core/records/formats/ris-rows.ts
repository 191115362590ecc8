import { byName } from '../../base'
import { languageCode } from '../../query'
import { readDate } from '../dates'
import { fieldOf, putText, splitList } from '../fields'
import { doiIn } from '../identifiers'
import type { Rec } from '../record'

/** What the RIS types are called here; a type that is not in the list is kept as its code. */
export const TYPES: Readonly<Record<string, string>> = byName({
  JOUR: 'journal article',
  EJOUR: 'journal article',
  CPAPER: 'conference paper',
  CONF: 'conference paper',
  THES: 'thesis',
  RPRT: 'report',
  CHAP: 'chapter',
  ECHAP: 'chapter',
  BOOK: 'book',
  EBOOK: 'book',
  EDBOOK: 'edited book',
  MGZN: 'magazine article',
  NEWS: 'newspaper article',
  DATA: 'dataset',
  ELEC: 'web page',
  UNPB: 'manuscript',
  STAND: 'standard',
  PAT: 'patent',
})
/** The code that a type is written with; of two codes for one type, the first. */
export const CODES: Readonly<Record<string, string>> = byName(
  Object.fromEntries(
    Object.entries(TYPES)
      .reverse()
      .map(([code, type]) => [type, code]),
  ),
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

type Keys<T> = { [K in keyof Rec]-?: Rec[K] extends T | undefined ? K : never }[keyof Rec]
type TextField = Exclude<Keys<string>, 'id'>
type ListField = Keys<string[]>

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
const each =
  (field: ListField): Policy =>
  (record, value) => {
    ;(record[field] ??= []).push(value)
    return 'all'
  }

const keywords: Policy = (record, value) => {
  record.keywords.push(...splitList(value))
  return 'all'
}

/** A year, or a date of the same year; what else it says, and another year, are kept by the tag. */
const date: Policy = (record, value) => {
  const { year, issued, whole } = readDate(value)
  if (year === undefined || (record.year !== undefined && record.year !== year)) return 'none'
  if (issued !== undefined && record.issued !== undefined && record.issued !== issued) return 'none'
  record.year = year
  if (issued !== undefined) record.issued = issued
  return whole ? 'all' : 'part'
}

const accessed: Policy = (record, value) => {
  const { issued, whole } = readDate(value)
  if (issued === undefined || !whole || record.accessed !== undefined) return 'none'
  record.accessed = issued
  return 'all'
}

/** A number of a book, or of a journal: told apart by how many digits it has. */
const standardNumber: Policy = (record, value) => {
  const digits = value.replace(/[^\dXx]/g, '').length
  if (digits === 10 || digits === 13) return each('isbn')(record, value, {})
  return first('issn')(record, value, {})
}

const address: Policy = (record, value) => {
  if (record.url === undefined) record.url = value
  else if (record.url !== value) (record.urls ??= []).push(value)
  return 'all'
}

/** Notes; one that a program put here for a field without a tag begins with the name of the field in braces. */
const note: Policy = (record, value) => {
  const own = /^\{([^{}]+)\} ([^]*)$/.exec(value)
  if (!own) return each('notes')(record, value, {})
  const [, key, text] = own
  if (key!.startsWith('other: ')) {
    ;(record.extra[key!.slice('other: '.length)] ??= []).push(text!)
    return 'all'
  }
  const field = fieldOf(key!)
  if (field && putText(record, field, text!)) return 'all'
  return each('notes')(record, value, {})
}

const page =
  (end: 'from' | 'to'): Policy =>
  (_record, value, pages) => {
    if (pages[end] !== undefined) return pages[end] === value ? 'all' : 'none'
    pages[end] = value
    return 'all'
  }

/** A DOI without what stands before it in an address or a citation. */
const bareDoi = (value: string): string => value.replace(/^(?:https?:\/\/(?:dx\.)?doi\.org\/|doi:\s*)/i, '')

/** A type in words, which is finer than the code; an identifier that stands here is one. */
const kind: Policy = (record, value, pages) => {
  const doi = /^(?:doi:|https?:\/\/(?:dx\.)?doi\.org\/|10\.\d{4,9}\/)/i.test(value) && doiIn(value)
  if (doi) {
    const taken = first('doi')(record, doi, {})
    // What stands behind the identifier is kept too.
    return taken === 'all' && bareDoi(value).toLowerCase() !== doi ? 'part' : taken
  }
  if (pages.kind !== undefined) return value === pages.kind || value === record.type ? 'all' : 'none'
  pages.kind = value
  record.type = value.toLowerCase()
  return record.type === value ? 'all' : 'part'
}

/** "GEN" says of a record that nothing is known of its type. */
const code: Policy = (record, value) => {
  if (value === 'GEN') return 'all'
  record.type = TYPES[value] ?? value
  // Of two codes for one type only one is written: the other is kept.
  return TYPES[value] === undefined || CODES[record.type] === value ? 'all' : 'part'
}

const number: Policy = (record, value) => {
  record.id = value
  return 'all'
}

/** What each tag means: tag, field, policy. A tag that stands in no row is kept as it is. */
const ROWS: readonly (readonly [tags: string, policy: Policy])[] = [
  ['TY', code],
  ['ID', number],
  ['TI T1', first('title')],
  ['AB N2', first('abstract')],
  ['AU A1', each('authors')],
  ['KW', keywords],
  ['T2 JO JF', first('journal')],
  ['PY Y1 DA', date],
  ['VL', first('volume')],
  ['IS', first('issue')],
  ['SP', page('from')],
  ['EP', page('to')],
  ['LA', first('language', languageCode)],
  ['DO', first('doi', bareDoi)],
  ['SN', standardNumber],
  ['UR', address],
  ['A2 ED', each('editors')],
  ['A4', each('translators')],
  ['T3', first('series')],
  ['BT', first('journal')],
  ['JA J1 J2', first('shortJournal')],
  ['ST', first('shortTitle')],
  ['OP', first('originalTitle')],
  ['PB', first('publisher')],
  ['CY', first('publisherPlace')],
  ['ET', first('edition')],
  ['M1', first('number')],
  ['Y2', accessed],
  ['N1', note],
  ['M3', kind],
]

export const POLICIES: ReadonlyMap<string, Policy> = new Map(
  ROWS.flatMap(([tags, policy]) => tags.split(' ').map((tag) => [tag, policy] as const)),
)
