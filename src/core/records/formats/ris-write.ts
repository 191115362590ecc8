import { FIELDS, joinList, textOf } from '../fields'
import type { Rec } from '../record'
import { refinedType, risOf, typeOfRis } from '../types'
import { GENRES, risName } from './ris-rows'

/**
 * Writes records as RIS; `readRis` gives the same fields back. Unknown tags are written as they were read; a field without
 * a tag, and what another format called by a longer name, stands in a note behind its name in braces. RIS has no
 * paragraphs: line ends inside a value become spaces.
 */
export function writeRis(records: readonly Rec[]): string {
  return records.map(writeRecord).join('')
}

/** Fields with tags of their own; all others are written as notes. */
const TAGGED: ReadonlySet<keyof Rec> = new Set<keyof Rec>([
  ...([
    'title',
    'authors',
    'year',
    'issued',
    'journal',
    'volume',
    'issue',
    'pages',
    'abstract',
    'keywords',
  ] as const),
  ...([
    'language',
    'doi',
    'issn',
    'isbn',
    'url',
    'urls',
    'editors',
    'translators',
    'series',
    'shortJournal',
  ] as const),
  ...([
    'shortTitle',
    'originalTitle',
    'publisher',
    'publisherPlace',
    'edition',
    'number',
    'accessed',
  ] as const),
  ...(['notes', 'type'] as const),
])
const UNTAGGED = FIELDS.filter((f) => !TAGGED.has(f.key))
/** A name that would be read as another, or as several, stands in braces. */
const writtenName = (name: string): string =>
  /^\{/.test(name) || (!name.includes(';') && risName(name) === name) ? name : `{${name}}`
/** A semicolon in a keyword would part it in two. */
const oneKeyword = (text: string): string => joinList([text])
const TAG = /^[A-Z][A-Z0-9]$/

function writeRecord(r: Rec): string {
  const rows: string[] = []
  const put = (tag: string, value: string | number | undefined): void => {
    if (value !== undefined && value !== '')
      rows.push(`${tag}  - ${String(value).replace(/\s*[\r\n]+\s*/g, ' ')}`)
  }
  const each = (tag: string, values: readonly string[] | undefined): void => {
    for (const value of values ?? []) put(tag, value)
  }
  const code = codeOf(r)
  const inWords = typeInWords(r, code)
  put('TY', code)
  put('ID', r.id)
  put('TI', r.title)
  each('AU', r.authors.map(writtenName))
  each('A2', r.editors?.map(writtenName))
  each('A4', r.translators?.map(writtenName))
  put('PY', r.year)
  put('DA', r.issued?.replaceAll('-', '/'))
  put('T2', r.journal)
  put('J2', r.shortJournal)
  put('T3', r.series)
  put('ST', r.shortTitle)
  put('OP', r.originalTitle)
  put('VL', r.volume)
  put('IS', r.issue)
  put('M1', r.number)
  // Only one range is two tags; several parts are one value. A last page alone is one too.
  const [, from, to] = /^([^–]*)–([^–]+)$/.exec(r.pages ?? '') ?? [undefined, r.pages]
  put('SP', from)
  put('EP', to)
  put('PB', r.publisher)
  put('CY', r.publisherPlace)
  put('ET', r.edition)
  put('AB', r.abstract)
  each('KW', r.keywords.map(oneKeyword))
  each(
    'KW',
    r.headings.map((h) => oneKeyword(h.label)),
  )
  put('LA', r.language)
  put('DO', r.doi)
  put('SN', r.issn)
  each('SN', r.isbn)
  put('UR', r.url)
  each('UR', r.urls)
  put('Y2', r.accessed?.replaceAll('-', '/'))
  each('N1', r.notes)
  put('M3', inWords)
  const genre = r.genre !== undefined && inWords === undefined && standsAsGenre(r) ? r.genre : undefined
  put('M3', genre)
  for (const field of UNTAGGED) {
    const text = textOf(r, field)
    if (text !== undefined && !(field.key === 'genre' && genre !== undefined))
      put('N1', `{${field.key}} ${text}`)
  }
  for (const [tag, values] of Object.entries(r.extra))
    for (const value of tag === 'TY' ? values.slice(1) : values)
      if (TAG.test(tag)) put(tag, value)
      else put('N1', `{other: ${tag}} ${value}`)
  rows.push('ER  - ', '')
  return rows.join('\n') + '\n'
}

/** The code of the type: the one that it was read from, where that still stands for the type. */
function codeOf({ type, extra }: Rec): string {
  const read = extra.TY?.[0]
  if (read !== undefined && (type === undefined || typeOfRis(read) === undefined || typeOfRis(read) === type))
    return read
  return risOf(type) ?? (/^[A-Z]+$/.test(type ?? '') ? type! : 'GEN')
}

/** The type in words, where the code alone would be read as another, or other words that are kept as the type. */
function typeInWords({ type, extra }: Rec, code: string): string | undefined {
  if (!type) return undefined
  const others = extra.M3 !== undefined && type === type.toLowerCase()
  return others || (typeOfRis(code) ?? code) !== type ? type : undefined
}

/** Would the kind of a thesis or report, put where a type in words stands, be read as what it is? */
const standsAsGenre = ({ type, genre }: Rec): boolean =>
  GENRES.has(type ?? '') &&
  risOf(type) !== undefined &&
  typeOfRis(risOf(type)!) === type &&
  refinedType(type!, genre!) === undefined &&
  genre!.toLowerCase() !== type &&
  !/10\.\d|doi/i.test(genre!)
