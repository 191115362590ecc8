import type { Rec } from './record'

/** How the text of a field is read and written where a format has one text for it. */
export type FieldForm = 'text' | 'year' | 'number' | 'flag' | 'list' | 'headings' | 'structure'

export interface Field {
  key: keyof Rec
  /** As people read it, also the heading of its column. */
  label: string
  form: FieldForm
  /** Other headings under which tables have it, in small letters. */
  also?: readonly string[]
}

/** Every part of a record but its number and what was not understood, in the order in which tables show them. */
export const FIELDS: readonly Field[] = [
  { key: 'title', label: 'Title', form: 'text', also: ['article title', 'document title', 'name'] },
  {
    key: 'authors',
    label: 'Authors',
    form: 'list',
    also: ['author', 'author names', 'creators', 'creator', 'by'],
  },
  {
    key: 'year',
    label: 'Year',
    form: 'year',
    also: ['publication year', 'year published', 'published', 'pub year'],
  },
  {
    key: 'journal',
    label: 'Journal or book',
    form: 'text',
    also: [
      'journal',
      'source',
      'source title',
      'publication title',
      'container title',
      'journal title',
      'booktitle',
      'publication',
    ],
  },
  { key: 'volume', label: 'Volume', form: 'text', also: ['vol', 'vol.'] },
  { key: 'issue', label: 'Issue', form: 'text', also: ['issue number', 'no', 'no.'] },
  { key: 'pages', label: 'Pages', form: 'text', also: ['page', 'page range', 'page numbers', 'pp'] },
  { key: 'doi', label: 'DOI', form: 'text', also: ['digital object identifier', 'doi link'] },
  { key: 'abstract', label: 'Abstract', form: 'text', also: ['summary', 'description'] },
  { key: 'keywords', label: 'Keywords', form: 'list', also: ['author keywords', 'keyword', 'tags'] },
  {
    key: 'headings',
    label: 'Headings',
    form: 'headings',
    also: ['subject headings', 'subjects', 'descriptors', 'thesaurus terms', 'index terms'],
  },
  { key: 'type', label: 'Type', form: 'text', also: ['document type', 'publication type', 'item type'] },
  { key: 'inferred', label: 'Inferred', form: 'list' },
  { key: 'language', label: 'Language', form: 'text', also: ['language of document', 'languages'] },
  { key: 'url', label: 'Address', form: 'text', also: ['url', 'link', 'web address'] },
  { key: 'urls', label: 'Further addresses', form: 'list' },
  { key: 'issn', label: 'ISSN', form: 'text', also: ['print issn', 'issn (print)'] },
  { key: 'isbn', label: 'ISBN', form: 'list', also: ['isbns'] },
  { key: 'editors', label: 'Editors', form: 'list', also: ['editor', 'edited by'] },
  { key: 'translators', label: 'Translators', form: 'list', also: ['translator'] },
  { key: 'publisher', label: 'Publisher', form: 'text', also: ['institution'] },
  { key: 'publisherPlace', label: 'Place of publication', form: 'text', also: ['publisher place', 'city'] },
  { key: 'edition', label: 'Edition', form: 'text' },
  { key: 'series', label: 'Series', form: 'text', also: ['series title'] },
  { key: 'seriesNumber', label: 'Number in the series', form: 'text', also: ['series number'] },
  { key: 'event', label: 'Event', form: 'text', also: ['conference', 'conference name', 'event title'] },
  {
    key: 'eventPlace',
    label: 'Place of the event',
    form: 'text',
    also: ['conference location', 'event place'],
  },
  { key: 'eventDate', label: 'Date of the event', form: 'text', also: ['conference date', 'event date'] },
  { key: 'issued', label: 'Date', form: 'text', also: ['publication date', 'date published'] },
  { key: 'accessed', label: 'Visited', form: 'text', also: ['access date', 'accessed'] },
  { key: 'shortTitle', label: 'Short title', form: 'text' },
  { key: 'originalTitle', label: 'Original title', form: 'text' },
  {
    key: 'shortJournal',
    label: 'Journal abbreviated',
    form: 'text',
    also: ['abbreviated journal', 'journal abbreviation', 'abbreviated source title'],
  },
  { key: 'number', label: 'Number', form: 'text', also: ['article number', 'art. no.', 'report number'] },
  { key: 'genre', label: 'Kind', form: 'text', also: ['genre', 'thesis type'] },
  {
    key: 'timesCited',
    label: 'Times cited',
    form: 'number',
    also: ['cited by', 'citations', 'citation count'],
  },
  { key: 'peerReviewed', label: 'Peer reviewed', form: 'flag' },
  { key: 'openAccess', label: 'Open access', form: 'flag' },
  { key: 'classes', label: 'Classes', form: 'list', also: ['classification', 'class codes'] },
  { key: 'places', label: 'Places', form: 'list', also: ['location', 'geographic terms'] },
  { key: 'authorPlaces', label: 'Places of the authors', form: 'list' },
  { key: 'population', label: 'Population', form: 'list' },
  { key: 'tests', label: 'Tests', form: 'list', also: ['tests & measures', 'measures'] },
  { key: 'method', label: 'Method', form: 'list', also: ['methodology', 'methods'] },
  { key: 'notes', label: 'Notes', form: 'list', also: ['note'] },
  { key: 'references', label: 'References', form: 'structure' },
  { key: 'notice', label: 'Notice', form: 'structure' },
  { key: 'fulltext', label: 'Full text', form: 'text' },
]

export const fieldOf = (key: string): Field | undefined => BY_KEY.get(key)
const BY_KEY = new Map<string, Field>(FIELDS.map((f) => [f.key, f]))

/** The values of a list as one text: "; " between them; a semicolon or backslash inside one has a backslash before it. */
export const joinList = (values: readonly string[]): string =>
  values.map((v) => v.replace(/\\(?=[;\\]|$)|;/g, '\\$&')).join('; ')

/** Takes such a text apart again. Empty for a text of spaces. */
export function splitList(text: string): string[] {
  if (!text.includes(';') && !text.includes('\\')) return text.trim() ? [text.trim()] : []
  const values = ['']
  for (let i = 0; i < text.length; i++) {
    const [sign, next] = [text[i]!, text[i + 1]]
    if (sign === '\\' && (next === ';' || next === '\\')) {
      values[values.length - 1] += next
      i++
    } else if (sign === ';') values.push('')
    else values[values.length - 1] += sign
  }
  return values.map((v) => v.trim()).filter(Boolean)
}

/** A field as one text; undefined where the record has nothing there. */
export function textOf(record: Rec, { key, form }: Pick<Field, 'key' | 'form'>): string | undefined {
  const value = record[key]
  if (value === undefined || value === '' || (Array.isArray(value) && !value.length)) return undefined
  if (form === 'list') return joinList(value as string[])
  if (form === 'headings')
    return joinList((value as Rec['headings']).map((h) => (h.main ? `*${h.label}` : h.label)))
  if (form === 'flag') return value ? 'yes' : 'no'
  if (form === 'structure') return JSON.stringify(value)
  return String(value)
}

/** Puts a text into a field. False where the text cannot be what the field holds: then nothing is set. */
export function putText(record: Rec, { key, form }: Pick<Field, 'key' | 'form'>, text: string): boolean {
  const value = valueOf(form, text)
  if (value === undefined) return false
  ;(record as Record<string, unknown>)[key] = value
  return true
}

function valueOf(form: FieldForm, text: string): unknown {
  switch (form) {
    case 'list':
      return splitList(text)
    case 'headings':
      return splitList(text).map((v) => ({ label: v.replace(/^\*/, ''), main: v.startsWith('*') }))
    case 'flag':
      return /^(?:yes|true|1)$/i.test(text) ? true : /^(?:no|false|0)$/i.test(text) ? false : undefined
    case 'number':
      return /^\d{1,12}$/.test(text) ? Number(text) : undefined
    case 'year': {
      const found = /^\d{1,4}$/.exec(text)
      return found ? Number(text) : undefined
    }
    case 'structure':
      try {
        return JSON.parse(text) as unknown
      } catch {
        return undefined
      }
    default:
      return text
  }
}
