import { languageCode } from '../../query'
import { readDate } from '../dates'
import { fieldOf, putText, splitList } from '../fields'
import { doiIn } from '../identifiers'
import type { Rec } from '../record'
import { isBody, readName, readNames } from '../names'
import { oneType, refinedType, risOf, typeOfRis } from '../types'
import { OLD_RIS, OLD_RIS_CODES } from './types-before'

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

/**
 * A name, or several where semicolons part them. A name with a comma that is a body's stands in braces; one without a comma
 * is a body's as it stands, unless initials show a person.
 */
const people =
  (field: 'authors' | 'editors' | 'translators'): Policy =>
  (record, value) => {
    if (!value.includes(';') || value.charCodeAt(0) === 123) {
      ;(record[field] ??= []).push(risName(value))
      return 'all'
    }
    const { names, others } = readNames(value)
    for (const { name, role } of names) {
      const into = role === 'editor' ? 'editors' : role === 'translator' ? 'translators' : field
      ;(record[into] ??= []).push(name)
    }
    if (others) (record.extra['and others'] ??= []).push(field.slice(0, -1))
    return 'all'
  }

/** A name of RIS as records have it. */
export function risName(value: string): string {
  const braced = value.charCodeAt(0) === 123 ? /^\{([^{}]*)\}$/.exec(value)?.[1] : undefined
  if (braced !== undefined) return braced.includes(',') ? value : braced
  if (value.includes(',')) return isBody(value) ? readName(value) : value
  return /(?:^|\s)\p{Lu}\.?(?:[ -]?\p{Lu}\.)*(?=\s|$)/u.test(value) ? readName(value) : value
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
  if (isBookNumber(value)) return each('isbn')(record, value, {})
  // Several of them in one value are several.
  const parts = value.split(/\s*[;,]\s*|\s+(?:and|&)\s+|\s+(?=97[89])/).filter(Boolean)
  if (parts.length > 1 && parts.every((p) => isBookNumber(p.replace(/\([^)]*\)/g, '')))) {
    for (const part of parts) each('isbn')(record, part, {})
    return 'all'
  }
  return first('issn')(record, value, {})
}
const isBookNumber = (value: string): boolean => {
  const digits = value.replace(/[^\dXx]/g, '').length
  return digits === 10 || digits === 13
}
const oldStandardNumber: Policy = (record, value) =>
  isBookNumber(value) ? each('isbn')(record, value, {}) : first('issn')(record, value, {})

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

/** An identifier that stands where a type in words would; undefined where none does. */
const identifierAsKind: (record: Rec, value: string) => Taken | undefined = (record, value) => {
  const doi = /^(?:doi:|https?:\/\/(?:dx\.)?doi\.org\/|10\.\d{4,9}\/)/i.test(value) && doiIn(value)
  if (!doi) return undefined
  const taken = first('doi')(record, doi, {})
  // What stands behind the identifier is kept too.
  return taken === 'all' && bareDoi(value).toLowerCase() !== doi ? 'part' : taken
}

/**
 * A type in words. It says the type where the code does not, and a finer one where the code stands for both; otherwise it
 * is what its publisher calls a thesis or report, and with other works it is kept by its tag: it never overrides the code.
 */
const kind: Policy = (record, value, pages) => {
  const identifier = identifierAsKind(record, value)
  if (identifier) return identifier
  if (pages.kind !== undefined) return value === pages.kind || value === record.type ? 'all' : 'none'
  pages.kind = value
  const known = record.type !== undefined && typeOfRis(risOf(record.type) ?? '') !== undefined
  const type = known ? refinedType(record.type!, value) : oneType(value.toLowerCase())
  if (type !== undefined) {
    // A code that nothing here knows is written back.
    if (record.type !== undefined && !known) (record.extra.TY ??= []).push(record.type)
    record.type = type
    return type === value ? 'all' : 'part'
  }
  if (value.toLowerCase() === record.type) return value === record.type ? 'all' : 'part'
  if (!GENRES.has(record.type!) || record.genre !== undefined) return 'none'
  record.genre = value
  return 'all'
}
/** Types whose kind in the publisher's own words references print. */
export const GENRES: ReadonlySet<string> = new Set(['thesis', 'report', 'working paper'])

/** "GEN" says of a record that nothing is known of its type. */
const code: Policy = (record, value) => {
  if (value === 'GEN') return 'all'
  record.type = typeOfRis(value) ?? value
  // Of two codes for one type only one is written: the other is kept.
  return typeOfRis(value) === undefined || risOf(record.type) === value ? 'all' : 'part'
}

/** The same as the readers of versions 1 and 2 had it: a type in words overrode the code. */
const oldKind: Policy = (record, value, pages) => {
  const identifier = identifierAsKind(record, value)
  if (identifier) return identifier
  if (pages.kind !== undefined) return value === pages.kind || value === record.type ? 'all' : 'none'
  pages.kind = value
  record.type = value.toLowerCase()
  return record.type === value ? 'all' : 'part'
}
const oldCode: Policy = (record, value) => {
  if (value === 'GEN') return 'all'
  record.type = OLD_RIS[value] ?? value
  return OLD_RIS[value] === undefined || OLD_RIS_CODES[record.type] === value ? 'all' : 'part'
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
  ['AU A1', people('authors')],
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
  ['A2 ED', people('editors')],
  ['A4', people('translators')],
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

const POLICIES: ReadonlyMap<string, Policy> = new Map(
  ROWS.flatMap(([tags, policy]) => tags.split(' ').map((tag) => [tag, policy] as const)),
)
const OLD_POLICIES: ReadonlyMap<string, Policy> = new Map([
  ...POLICIES,
  ['TY', oldCode],
  ['M3', oldKind],
  ['SN', oldStandardNumber],
  ...['AU', 'A1'].map((tag) => [tag, each('authors')] as const),
  ...['A2', 'ED'].map((tag) => [tag, each('editors')] as const),
  ['A4', each('translators')],
])

/** What each tag means to the reader of a version. */
export const policiesOf = (version: number): ReadonlyMap<string, Policy> =>
  version >= 3 ? POLICIES : OLD_POLICIES
