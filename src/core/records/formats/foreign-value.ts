import { languageCode } from '../../query'
import { readDate } from '../dates'
import { fieldOf, putText, splitList, type Field } from '../fields'
import type { Rec } from '../record'
import { readNames, type Commas } from '../names'
import { oneType } from '../types'
import { readPerson } from './names'
import { READER_VERSION } from './versions'

/** How values of a file are read: by which version, and what commas do among names where that is known. */
export interface Reading {
  version: number
  commas?: Commas | undefined
}
const NOW: Reading = { version: READER_VERSION }

type Way = (record: Rec, value: string, whole: boolean, reading: Reading) => boolean

/** A year, or a date of the same year; false where something of the text is left over. */
const date: Way = (record, value) => {
  const { year, issued, whole } = readDate(value)
  if (year === undefined || (record.year !== undefined && record.year !== year)) return false
  record.year = year
  if (issued !== undefined) record.issued = issued
  return whole
}

const people =
  (key: 'authors' | 'editors' | 'translators'): Way =>
  (record, value, whole, { version, commas }) => {
    const put = (into: typeof key, name: string): void => {
      record[into] = [...(record[into] ?? []), name]
    }
    if (version < 3) for (const name of whole ? namesIn(value) : [readPerson(value)]) put(key, name)
    else {
      const { names, others } = readNames(value, commas)
      for (const { name, role } of names) put(role === undefined ? key : ROLES[role], name)
      if (others) (record.extra['and others'] ??= []).push(key.slice(0, -1))
    }
    return true
  }
const ROLES = { editor: 'editors', translator: 'translators' } as const

/** How a value goes into a field as people and databases write it there; other fields take it as it is. */
const WAYS: Partial<Record<keyof Rec, Way>> = {
  year: date,
  issued: date,
  authors: people('authors'),
  editors: people('editors'),
  translators: people('translators'),
  keywords: (record, value, whole) => {
    const commas = whole && !value.includes(';')
    record.keywords.push(...(commas ? value.split(/\s*,\s*/).filter(Boolean) : splitList(value)))
    return true
  },
  headings: (record, value) => {
    for (const label of splitList(value))
      record.headings.push({ label: label.replace(/^\*|\*$/g, ''), main: /^\*|\*$/.test(label) })
    return true
  },
  pages: (record, value) => {
    if (record.pages !== undefined) return false
    record.pages = value.replace(/^(\d+) ?- ?(\d+)$/, '$1–$2')
    return true
  },
  doi: (record, value) => {
    const doi = /10\.\d{4,9}\/\S+/.exec(value)?.[0]
    if (record.doi !== undefined || doi === undefined) return false
    record.doi = doi
    return value === doi || /^(?:doi:?\s*|https?:\/\/(?:dx\.)?doi\.org\/)\S+$/i.test(value)
  },
  type: (record, value, _whole, { version }) => {
    if (version < 3 || record.type !== undefined) return putPlain(record, fieldOf('type')!, value, true)
    record.type = oneType(value.toLowerCase())
    // What says more than the type, or says it in other words, is kept by its name too.
    return record.type === value.toLowerCase()
  },
  language: (record, value) => {
    if (record.language !== undefined) return false
    record.language = languageCode(value)
    return true
  },
}

/**
 * Puts a value of a foreign table or tagged file into a field, `id` being the record's number. `whole`: the value is all
 * that there is for the field, so that it may be a list. False where it could not go in, or not all of it: then it is to be
 * kept by its name too.
 */
export function putForeign(
  record: Rec,
  key: string | undefined,
  value: string,
  whole: boolean,
  reading: Reading = NOW,
): boolean {
  if (!key) return false
  if (key === 'id') {
    record.id = value
    return true
  }
  const field = fieldOf(key)
  if (!field) return false
  return WAYS[field.key]?.(record, value, whole, reading) ?? putPlain(record, field, value, whole)
}

function putPlain(record: Rec, field: Field, value: string, whole: boolean): boolean {
  const known = record[field.key]
  if (field.form === 'list' && !whole) {
    const fields = record as unknown as Record<string, string[] | undefined>
    fields[field.key] = [...(fields[field.key] ?? []), value]
    return true
  }
  const free = known === undefined || known === '' || (Array.isArray(known) && known.length === 0)
  return free && putText(record, field, value)
}

/** Names in one text as the readers of versions 1 and 2 had them: parted by semicolons, by "and", or, where no name has a comma, by commas. */
export function namesIn(text: string): string[] {
  const parts = text.includes(';')
    ? text.split(';')
    : /\s(?:and|&)\s/.test(text)
      ? text.split(/,?\s+(?:and|&)\s+/)
      : /^[^,]+\s[^,]+,\s[^,]+\s[^,]+/.test(text)
        ? text.split(',')
        : [text]
  return parts
    .map((p) => p.trim())
    .filter(Boolean)
    .map((p) => (p.includes(',') ? p : readPerson(p)))
}
