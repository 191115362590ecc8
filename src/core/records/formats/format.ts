import { plural, withPlainSigns, problem, type Problem } from '../../base'
import type { Rec } from '../record'
import { bibtexReader } from './bibtex'
import { writeBibtex } from './bibtex-write'
import { cslJsonReader, writeCslJson } from './csl-json'
import { atLine, type Item, type Reader, type ReadsTo } from './item'
import { risReader } from './ris'
import { writeRis } from './ris-write'
import {
  commasInColumns,
  proposeColumns,
  rowsOf,
  separatorOf,
  tableReader,
  writeTable,
  type TableShape,
} from './table'
import { READER_VERSION } from './versions'
import { withInferred } from '../types'
import { taggedReader, tagFormOf, type TagShape } from './tagged'
import { proposeTags } from './tagged-shape'

export const FORMATS = ['ris', 'bibtex', 'csl-json', 'csv', 'tagged'] as const
export type FormatId = (typeof FORMATS)[number]

export const FORMAT_WORDS: Readonly<Record<FormatId, string>> = {
  ris: 'RIS',
  bibtex: 'BibTeX',
  'csl-json': 'CSL-JSON',
  csv: 'CSV',
  tagged: 'tagged text',
}
export const FORMAT_ENDINGS: Readonly<Record<FormatId, string>> = {
  ris: 'ris',
  bibtex: 'bib',
  'csl-json': 'json',
  csv: 'csv',
  tagged: 'txt',
}

/** How a file is to be read: its format and, where that leaves it open, what columns or tags mean. */
export interface Shape {
  format: FormatId
  table?: TableShape
  tags?: TagShape
}

/** What a person said before of headings and tags, by heading in small letters and by tag. */
export interface Remembered {
  headings?: ReadonlyMap<string, string>
  tags?: Readonly<Record<string, string>>
}

/**
 * Says by its beginning what format a text is in, never by its name; undefined where it is none of those read here. The
 * beginning may end anywhere. `as` says what a person takes it for: then only what that leaves open is found.
 */
export function recognise(beginning: string, remembered: Remembered = {}, as?: FormatId): Shape | undefined {
  const text = beginning.replace(/^\uFEFF/, '')
  const format = as ?? formatOf(text)
  if (format === 'csv') {
    const separator = separatorOf(text)
    const [first = [], ...rows] = rowsOf(text, separator, 400)
    const headings = first.map((h) => h.trim())
    const columns = proposeColumns(headings, remembered.headings)
    const commas = commasInColumns(columns, rows)
    return { format, table: { separator, headings, columns, ...(commas ? { commas } : {}) } }
  }
  if (format === 'tagged') {
    const tags = proposeTags(text, remembered.tags)
    return tags && { format, tags }
  }
  return format && { format }
}

function formatOf(text: string): FormatId | undefined {
  if (/^\s*[[{]/.test(text) && /"[^"\n]*"\s*:/.test(text)) return 'csl-json'
  if (
    /^[ \t]*TY[ \t]{0,2}-(?:\s|$)/im.test(text) &&
    /^[ \t]*(?:(?!TY)[A-Z][A-Z0-9])[ \t]{0,2}-(?:\s|$)/im.test(text)
  )
    return 'ris'
  if (/^\s*@\s*[A-Za-z]+\s*[{(]\s*[^\s,{}]*\s*[,}=\n]/m.test(text)) return 'bibtex'
  if (tagFormOf(text) && proposeTags(text)?.fields) return 'tagged'
  const separator = separatorOf(text)
  const [headings, ...rows] = rowsOf(text, separator, 12)
  if (!headings || headings.length < 2) return undefined
  const known = proposeColumns(headings).filter((c) => c !== undefined).length
  return known >= 2 || (known === 1 && rows.length > 0) ? 'csv' : undefined
}

/** A reader for a shape. `name` tells the records of one file from those of another where they have no numbers. */
export function readerFor(shape: Shape, into: ReadsTo, name?: string, version = READER_VERSION): Reader {
  // The first readers let every sign through, and the second left open what no file said.
  const to = version >= 2 ? inPlainSigns(version >= 3 ? withTypes(into) : into) : into
  switch (shape.format) {
    case 'ris':
      return risReader(to, name, version)
    case 'bibtex':
      return bibtexReader(to, version)
    case 'csl-json':
      return cslJsonReader(to, version)
    case 'csv':
      return tableReader(to, shape.table ?? { separator: ',', columns: [] }, version)
    case 'tagged':
      return taggedReader(to, shape.tags ?? { form: 'dash', fields: {} }, version)
  }
}

/** The same with the type of records that do not say it, where the rest of them does. */
const withTypes = (to: ReadsTo): ReadsTo => ({
  ...to,
  item: (item) => to.item(item.record ? { ...item, record: withInferred(item.record) } : item),
})

/** The same with records without signs that no document could hold, each with a word where some went. */
const inPlainSigns = (to: ReadsTo): ReadsTo => ({
  ...to,
  item: (item) => {
    if (!item.record) return to.item(item)
    const { value, gone } = withPlainSigns(item.record)
    const words = `${plural(gone, 'control character')} that no document can hold ${gone === 1 ? 'was' : 'were'} left out of this record.`
    to.item(
      gone
        ? {
            ...item,
            record: value,
            problems: [...item.problems, atLine(item.line, 'control-characters', 'warning', words)],
          }
        : item,
    )
  },
})

/** The formats that records are written in. */
export const WRITERS = {
  ris: writeRis,
  bibtex: writeBibtex,
  'csl-json': writeCslJson,
  csv: (records: readonly Rec[]) => writeTable(records),
} satisfies Partial<Record<FormatId, (records: readonly Rec[]) => string>>
export type Writable = keyof typeof WRITERS

export interface WholeRead {
  items: Item[]
  strays: Problem[]
}

/** Reads a whole text in a shape. */
export function readAll(text: string, shape: Shape, name?: string, version = READER_VERSION): WholeRead {
  const read: WholeRead = { items: [], strays: [] }
  const reader = readerFor(
    shape,
    { item: (i) => read.items.push(i), stray: (p) => read.strays.push(p) },
    name,
    version,
  )
  reader.push(text)
  reader.end()
  if (!read.items.length)
    read.strays.push(
      problem(
        'no-record',
        'error',
        `No record was found in this file, read as ${FORMAT_WORDS[shape.format]}.`,
      ),
    )
  return read
}

/** What a shape lacks for records to be made by it, in words; undefined where it lacks nothing. */
export function lackOf({ table, tags }: Shape): string | undefined {
  if (table && !table.columns.includes('title')) return 'No column is the title: say which one is.'
  if (tags && !Object.values(tags.fields).includes('title')) return 'No tag is the title: say which one is.'
  return undefined
}
