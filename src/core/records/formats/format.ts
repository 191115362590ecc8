import { plural, withPlainSigns, problem, type Problem } from '../../base'
import type { Rec } from '../record'
import { bibtexReader } from './bibtex'
import { writeBibtex } from './bibtex-write'
import { cslJsonReader, writeCslJson } from './csl-json'
import { atLine, type Item, type Reader, type ReadsTo } from './item'
import { risReader } from './ris'
import { FORMAT_FILES, FORMAT_WORDS, type FormatId } from './files'
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

/** The formats that records are written in. */
export const WRITERS = {
  ris: writeRis,
  bibtex: writeBibtex,
  'csl-json': writeCslJson,
  csv: (records: readonly Rec[]) => writeTable(records),
} satisfies Partial<Record<FormatId, (records: readonly Rec[]) => string>>
export type Writable = keyof typeof WRITERS

/** How a format of records is read; its names and files stand in `files.ts`. A new one is its file and a row in each. */
interface Format {
  /** Does a text begin as this format does? Asked in the order of the rows. */
  begins: (text: string) => boolean
  reader: (to: ReadsTo, shape: Shape, name: string | undefined, version: number) => Reader
  /** What of a shape the format leaves open, found by the beginning of a text; undefined where it cannot be. */
  shape?: (text: string, remembered: Remembered) => Shape | undefined
}

/** In the order in which a text is asked whether it begins so. */
const ROWS: Readonly<Record<FormatId, Format>> = {
  'csl-json': {
    begins: (text) => /^\s*[[{]/.test(text) && /"[^"\n]*"\s*:/.test(text),
    reader: (to, _shape, _name, version) => cslJsonReader(to, version),
  },
  ris: {
    begins: (text) =>
      /^[ \t]*TY[ \t]{0,2}-(?:\s|$)/im.test(text) &&
      /^[ \t]*(?:(?!TY)[A-Z][A-Z0-9])[ \t]{0,2}-(?:\s|$)/im.test(text),
    reader: (to, _shape, name, version) => risReader(to, name, version),
  },
  bibtex: {
    begins: (text) => /^\s*@\s*[A-Za-z]+\s*[{(]\s*[^\s,{}]*\s*[,}=\n]/m.test(text),
    reader: (to, _shape, _name, version) => bibtexReader(to, version),
  },
  tagged: {
    begins: (text) => Boolean(tagFormOf(text) && proposeTags(text)?.fields),
    reader: (to, shape, _name, version) =>
      taggedReader(to, shape.tags ?? { form: 'dash', fields: {} }, version),
    shape: (text, remembered) => {
      const tags = proposeTags(text, remembered.tags)
      return tags && { format: 'tagged', tags }
    },
  },
  csv: {
    begins: looksLikeTable,
    reader: (to, shape, _name, version) =>
      tableReader(to, shape.table ?? { separator: ',', columns: [] }, version),
    shape: tableShape,
  },
}

const IDS = Object.keys(ROWS) as FormatId[]
/** The format that is written under an ending, without its point; undefined where none is. */
export const formatOfEnding = (ending: string): FormatId | undefined =>
  IDS.find((id) => id in WRITERS && FORMAT_FILES[id].endings.includes(ending.toLowerCase()))

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
  const format = as ?? IDS.find((id) => ROWS[id].begins(text))
  if (!format) return undefined
  const { shape } = ROWS[format]
  return shape ? shape(text, remembered) : { format }
}

function tableShape(text: string, remembered: Remembered): Shape {
  const separator = separatorOf(text)
  const [first = [], ...rows] = rowsOf(text, separator, 400)
  const headings = first.map((h) => h.trim())
  const columns = proposeColumns(headings, remembered.headings)
  const commas = commasInColumns(columns, rows)
  return { format: 'csv', table: { separator, headings, columns, ...(commas ? { commas } : {}) } }
}

function looksLikeTable(text: string): boolean {
  const [headings, ...rows] = rowsOf(text, separatorOf(text), 12)
  if (!headings || headings.length < 2) return false
  const known = proposeColumns(headings).filter((c) => c !== undefined).length
  return known >= 2 || (known === 1 && rows.length > 0)
}

/** A reader for a shape. `name` tells the records of one file from those of another where they have no numbers. */
export function readerFor(shape: Shape, into: ReadsTo, name?: string, version = READER_VERSION): Reader {
  // The first readers let every sign through, and the second left open what no file said.
  const to = version >= 2 ? inPlainSigns(version >= 3 ? withTypes(into) : into) : into
  return ROWS[shape.format].reader(to, shape, name, version)
}

/** The same with the type of records that do not say it, where the rest of them does. */
const withTypes = (to: ReadsTo): ReadsTo => ({
  ...to,
  item: (item) =>
    to.item(
      item.record && item.record.type === undefined ? { ...item, record: withInferred(item.record) } : item,
    ),
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
