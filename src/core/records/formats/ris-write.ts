import { FIELDS, joinList, textOf } from '../fields'
import type { Rec } from '../record'
import { CODES, TYPES } from './ris-rows'

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
  const code = r.extra.TY?.[0] ?? CODES[r.type ?? ''] ?? (/^[A-Z]+$/.test(r.type ?? '') ? r.type! : 'GEN')
  put('TY', code)
  put('ID', r.id)
  put('TI', r.title)
  each('AU', r.authors)
  each('A2', r.editors)
  each('A4', r.translators)
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
  const [from, to] = (r.pages ?? '').split('–')
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
  // The code alone would be read as another type, and so would one more type in words that stands before it.
  const inWords = r.extra.M3 !== undefined && r.type === r.type?.toLowerCase()
  if (r.type && (inWords || (TYPES[code] ?? code) !== r.type)) put('M3', r.type)
  for (const field of UNTAGGED) {
    const text = textOf(r, field)
    if (text !== undefined) put('N1', `{${field.key}} ${text}`)
  }
  for (const [tag, values] of Object.entries(r.extra))
    for (const value of tag === 'TY' ? values.slice(1) : values)
      if (TAG.test(tag)) put(tag, value)
      else put('N1', `{other: ${tag}} ${value}`)
  rows.push('ER  - ', '')
  return rows.join('\n') + '\n'
}
