import { byName, emptyByName } from '../../base'
import { languageCode } from '../../query'
import { FIELDS, textOf } from '../fields'
import { doiIn } from '../identifiers'
import { emptyRecord, Rec } from '../record'
import { cslOf, typeOfCsl } from '../types'
import { CSL_STRUCTURED, CSL_VARIABLES, NEAREST, OTHER_TYPES } from './csl-types'
import { OLD_CSL } from './types-before'
import { READER_VERSION } from './versions'
import { nameOf, nameParts, type NameParts } from './names'

interface CslName {
  family?: string
  given?: string
  suffix?: string
  literal?: string
  'non-dropping-particle'?: string
  'dropping-particle'?: string
}
interface CslDate {
  'date-parts'?: (number | string)[][]
  raw?: string
}
/** An item of CSL-JSON 1.0.2. */
export type CslItem = Record<string, unknown> & { id: string; type: string }

type TextKey = { [K in keyof Rec]-?: Rec[K] extends string | undefined ? K : never }[keyof Rec]
/** What each part of a record is called in CSL-JSON, where it is one text. */
const TEXTS: readonly (readonly [key: TextKey, variable: string])[] = [
  ['title', 'title'],
  ['shortTitle', 'title-short'],
  ['originalTitle', 'original-title'],
  ['journal', 'container-title'],
  ['shortJournal', 'container-title-short'],
  ['series', 'collection-title'],
  ['seriesNumber', 'collection-number'],
  ['volume', 'volume'],
  ['issue', 'issue'],
  ['number', 'number'],
  ['publisher', 'publisher'],
  ['publisherPlace', 'publisher-place'],
  ['event', 'event-title'],
  ['eventPlace', 'event-place'],
  ['edition', 'edition'],
  ['genre', 'genre'],
  ['abstract', 'abstract'],
  ['doi', 'DOI'],
  ['issn', 'ISSN'],
  ['url', 'URL'],
  ['language', 'language'],
]
/** Names of older versions of the standard. */
const OLDER: Readonly<Record<string, string>> = byName({
  event: 'event-title',
  shortTitle: 'title-short',
  journalAbbreviation: 'container-title-short',
})
const BY_VARIABLE = new Map(TEXTS.map(([key, variable]) => [variable, key]))
const NAMES = [
  ['authors', 'author'],
  ['editors', 'editor'],
  ['translators', 'translator'],
] as const
const DATES = [
  ['issued', 'issued'],
  ['accessed', 'accessed'],
  ['eventDate', 'event-date'],
] as const

/** The fields that stand in `custom`, for CSL has no place for them. */
const CUSTOM = FIELDS.filter(
  ({ key }) =>
    ![...TEXTS, ...NAMES, ...DATES].some(([own]) => own === key) &&
    !['year', 'pages', 'keywords', 'type', 'isbn', 'notes'].includes(key),
)

/** A record as CSL-JSON; `fromCsl` gives it back. */
export function toCsl(r: Rec): CslItem {
  const own = r.type !== undefined && OTHER_TYPES.has(r.type) ? r.type : undefined
  const type = own ?? cslOf(r.type) ?? NEAREST.find(([sign]) => sign.test(r.type ?? ''))?.[1] ?? 'document'
  const item: CslItem = { id: r.id, type }
  const custom: Record<string, unknown> = {}
  for (const [key, variable] of TEXTS) if (r[key] !== undefined && r[key] !== '') item[variable] = r[key]
  for (const [key, variable] of NAMES) {
    const names = r[key]
    if (names?.length) item[variable] = names.map(nameParts)
  }
  if (r.year !== undefined || r.issued !== undefined) item.issued = dateOf(r.issued ?? String(r.year))
  if (r.issued !== undefined && r.year !== undefined && !r.issued.startsWith(String(r.year)))
    custom.year = r.year
  for (const [key, variable] of DATES.slice(1)) {
    const date = r[key]
    if (date === undefined) continue
    if (ISO.test(date)) item[variable] = dateOf(date)
    else custom[key] = date
  }
  if (r.pages !== undefined) item.page = r.pages.replaceAll('–', '-')
  if (r.pages?.includes('-')) custom.pages = r.pages
  if (r.keywords.length) item.keyword = r.keywords.join(', ')
  if (r.keywords.some((k) => k.includes(',') || k !== k.trim())) custom.keywords = r.keywords
  if (r.isbn?.length) item.ISBN = r.isbn.join(' ')
  if (r.isbn?.some((n) => /\s/.test(n))) custom.isbn = r.isbn
  if (r.notes?.length) item.note = r.notes.join('\n')
  if (r.notes?.some((n) => n.includes('\n'))) custom.notes = r.notes
  if (r.type !== undefined && (typeOfCsl(type) ?? type) !== r.type) custom.type = r.type
  for (const field of CUSTOM) if (textOf(r, field) !== undefined) custom[field.key] = r[field.key]
  const other: Rec['extra'] = emptyByName()
  for (const [name, values] of Object.entries(r.extra)) {
    const value = values.length === 1 && CSL_VARIABLES.has(name) && !(name in item) ? values[0] : undefined
    if (value === undefined || (CSL_STRUCTURED.has(name) && !/^[[{]/.test(value))) other[name] = values
    else item[name] = /^[[{]/.test(value) ? (parsed(value) ?? value) : value
  }
  if (Object.keys(other).length) custom.other = other
  if (Object.keys(custom).length) item.custom = custom
  return item
}

const ISO = /^\d{4}(?:-\d{2}){0,2}$/
const dateOf = (iso: string): CslDate =>
  ISO.test(iso) ? { 'date-parts': [iso.split('-').map(Number)] } : { raw: iso }
const parsed = (text: string): unknown => {
  try {
    return JSON.parse(text) as unknown
  } catch {
    return undefined
  }
}

/** An item of CSL-JSON as a record, every variable of it. What has no place in a record is kept by its name. */
export function fromCsl(
  item: Readonly<Record<string, unknown>>,
  position: number,
  version = READER_VERSION,
): Rec {
  const id = typeof item.id === 'string' || typeof item.id === 'number' ? String(item.id) : ''
  const record = emptyRecord(id || String(position))
  const keep = (name: string, value: unknown): void => {
    ;(record.extra[name] ??= []).push(typeof value === 'string' ? value : JSON.stringify(value))
  }
  for (const [given, value] of Object.entries(item)) {
    const variable = OLDER[given] ?? given
    if (['id', 'custom'].includes(variable) || value === null || value === undefined || value === '') continue
    const text = typeof value === 'string' ? value : typeof value === 'number' ? String(value) : undefined
    if (variable === 'type' && text !== undefined) {
      if (text !== 'document') record.type = (version >= 3 ? typeOfCsl(text) : OLD_CSL[text]) ?? text
    } else if (!putVariable(record, variable, value, text)) keep(given, value)
  }
  putCustom(record, item.custom, keep)
  return record
}

function putVariable(record: Rec, variable: string, value: unknown, text: string | undefined): boolean {
  const key = BY_VARIABLE.get(variable)
  if (key && text !== undefined) {
    if (record[key] !== undefined && record[key] !== '') return false
    const own =
      key === 'language'
        ? languageCode(text)
        : key === 'doi' && doiIn(text)
          ? text.replace(/^.*?(?=10\.)/, '')
          : text
    record[key] = own
    return true
  }
  const names = NAMES.find(([, name]) => name === variable)?.[0]
  if (names && Array.isArray(value) && value.every((n) => typeof n === 'object' && n !== null)) {
    record[names] = (value as CslName[]).map((n) => nameOf(partsOf(n)))
    return true
  }
  const date = DATES.find(([, name]) => name === variable)?.[0]
  if (date) return putDate(record, date, value as CslDate)
  if (text === undefined) return false
  switch (variable) {
    case 'page':
      record.pages = text.replace(/-+/g, '–')
      return true
    case 'keyword':
      record.keywords = text.split(/\s*[,;]\s*/).filter(Boolean)
      return true
    case 'ISBN':
      record.isbn = text.split(/\s+/).filter(Boolean)
      return true
    case 'note':
      record.notes = text.split('\n')
      return true
    default:
      return false
  }
}

function partsOf(name: CslName): NameParts {
  const join = (...parts: (string | undefined)[]): string | undefined =>
    parts.filter(Boolean).join(' ') || undefined
  const family = join(name['non-dropping-particle'], name.family)
  const given = join(name.given, name['dropping-particle'])
  return {
    ...(family === undefined ? {} : { family }),
    ...(given === undefined ? {} : { given }),
    ...(name.suffix === undefined ? {} : { suffix: name.suffix }),
    ...(family === undefined ? { literal: name.literal ?? given ?? '' } : {}),
  }
}

/** A date of one day, month or year goes in; a range or a season is kept as it is. */
function putDate(record: Rec, key: 'issued' | 'accessed' | 'eventDate', value: CslDate): boolean {
  const parts = value['date-parts']
  const first = parts?.[0]?.map(Number)
  if (!first?.length || first.length > 3 || first.some((n) => !Number.isInteger(n))) return false
  const [year, ...rest] = first as [number, ...number[]]
  if (key === 'issued') record.year = year
  const plain = parts!.length === 1 && Object.keys(value).length === 1 && year > 0 && year < 10000
  const iso = [String(year).padStart(4, '0'), ...rest.map((n) => String(n).padStart(2, '0'))].join('-')
  if (plain && (rest.length || key !== 'issued')) record[key] = iso
  return plain
}

/** What another program put under `custom` is kept; what `toCsl` did goes where it was. */
function putCustom(record: Rec, custom: unknown, keep: (name: string, value: unknown) => void): void {
  if (typeof custom !== 'object' || custom === null) return
  for (const [name, value] of Object.entries(custom as Record<string, unknown>)) {
    const shape = Object.hasOwn(Rec.shape, name) ? Rec.shape[name as keyof Rec] : undefined
    const read = shape && !['id', 'title', 'extra'].includes(name) ? shape.safeParse(value) : undefined
    if (read?.success) (record as Record<string, unknown>)[name] = read.data
    else if (name === 'other' && isTexts(value))
      for (const [tag, texts] of Object.entries(value)) for (const text of texts) keep(tag, text)
    else keep(`custom ${name}`, value)
  }
}
const isTexts = (value: unknown): value is Rec['extra'] =>
  typeof value === 'object' &&
  value !== null &&
  Object.values(value).every((v) => Array.isArray(v) && v.every((t) => typeof t === 'string'))
