import { languageCode } from '../../query'
import { readDate } from '../dates'
import { FIELDS, putText, splitList } from '../fields'
import { doiIn } from '../identifiers'
import { emptyRecord, type Rec } from '../record'
import { TEXT_KEYS, VERBATIM } from './bibtex-fields'
import { withParents } from './bibtex-parents'
import { splitBibtex, type EntriesTo, type Entry } from './bibtex-split'
import { atLine, type Reader, type ReadsTo } from './item'
import { fromLatex, tooDeep, unknownCommands } from './latex'
import { isBody } from '../names'
import { GENRE_WORDS, genreOfEntry, typeOfEntry, entryOf } from '../types'
import { OLD_ENTRIES, OLD_ENTRY_NAMES } from './types-before'
import { nameOf, turnName } from './names'
import { READER_VERSION } from './versions'

/**
 * Reads BibTeX and biblatex in pieces, every field of every entry: what has no place in a record is kept by its name. An
 * entry that is broken is told with its line and its text; the others are read.
 */
export function bibtexReader(to: ReadsTo, version = READER_VERSION): Reader {
  let position = 0
  const put: EntriesTo = {
    entry: (entry) =>
      to.item({ position: ++position, line: entry.line, ...recordOf(entry, position, version) }),
    broken: (text, line, what) => to.item({ position: ++position, line, text, problems: [what] }),
  }
  return version >= 3 ? withParents(put, to, splitBibtex) : splitBibtex(put, false)
}

const tidy = (text: string): string => text.replace(/[ \t\r\n]+/g, ' ').trim()
const LONG_FIELDS = new Map(FIELDS.map((f) => [f.key.toLowerCase(), f]))

/** What an entry's type says of its work, and the name that such an entry is written under. */
const kindOf = (type: string, version: number): [kind: string | undefined, written: string | undefined] => {
  const kind = version >= 3 ? typeOfEntry(type) : OLD_ENTRIES[type]
  return [kind, version >= 3 ? entryOf(kind) : OLD_ENTRY_NAMES[kind ?? '']]
}

function recordOf({ type, key, fields, line, damage }: Entry, position: number, version: number) {
  const record = emptyRecord(key || String(position))
  const keep = (name: string, value: string): void => {
    ;(record.extra[name] ??= []).push(value)
  }
  const [kind, written] = kindOf(type, version)
  if (kind) record.type = kind
  // Of what no type is known of, nothing is said by the entry's.
  if (type !== 'misc' && (!kind || written !== type)) keep('entry type', type)
  const how = { entry: kind, version }
  const unknown = new Set<string>()
  let month = ''
  for (const [name, raw] of fields) {
    const plain = VERBATIM.has(name)
    const value = plain ? verbatim(raw) : tooDeep(raw) ? raw : tidy(fromLatex(raw, version >= 3))
    if (version >= 3 && !plain) for (const command of unknownCommands(raw)) unknown.add(command)
    if (!value) continue
    if (name === 'month') month = value
    else if (!put(record, how, name, raw, value)) keep(name, value)
  }
  const genre = version >= 3 ? genreOfEntry(type) : undefined
  if (genre !== undefined && record.genre === undefined && record.type === kind) record.genre = genre
  const dated = month ? readDate(`${record.year ?? ''} ${month}`) : undefined
  const numbered = /^\d{1,2}$/.test(month) ? readDate(`${record.year ?? ''}-${month}`) : dated
  if (numbered?.issued && record.issued === undefined) record.issued = numbered.issued
  else if (month) keep('month', month)
  const problems = [
    ...(damage.length
      ? [
          atLine(
            line,
            'bibtex-damaged',
            'warning',
            `${damage.join('; ')}; the fields were read as they stand.`,
          ),
        ]
      : []),
    ...(unknown.size
      ? [
          atLine(
            line,
            'latex-command',
            'warning',
            `${[...unknown].slice(0, 4).join(', ')}${unknown.size > 4 ? ' …' : ''}: not known here; of what stands behind it the words were kept.`,
          ),
        ]
      : []),
    ...(record.title ? [] : [atLine(line, 'no-title', 'warning', 'this entry has no title.')]),
  ]
  return { record, problems }
}

const verbatim = (raw: string): string =>
  tidy((inBraces(raw) ? raw.slice(1, -1) : raw).replace(/\\([_%&#$~{}])/g, '$1'))

/** Puts a field where it belongs; false where it has to be kept by its name. */
function put(
  record: Rec,
  { entry, version }: { entry: string | undefined; version: number },
  name: string,
  raw: string,
  value: string,
): boolean {
  const once = (key: 'issue' | 'number' | 'pages' | 'url' | 'doi', text: string): boolean => {
    if (record[key] !== undefined) return record[key] === text
    record[key] = text
    return true
  }
  switch (name) {
    case 'author':
    case 'editor':
    case 'translator': {
      const { names, others } = namesOf(raw, version)
      const key = ({ author: 'authors', editor: 'editors', translator: 'translators' } as const)[name]
      record[key] = [...(record[key] ?? []), ...names]
      if (others) (record.extra['and others'] ??= []).push(name)
      return true
    }
    case 'subtitle':
      record.title = record.title ? `${record.title}: ${value}` : value
      return true
    case 'year':
    case 'date': {
      const { year, issued, whole } = readDate(value)
      if (year === undefined || (record.year !== undefined && record.year !== year)) return false
      record.year = year
      if (issued !== undefined) record.issued = issued
      return whole
    }
    case 'number':
      return once(entry === 'journal article' ? 'issue' : 'number', value)
    case 'issue':
      return once('issue', value)
    case 'eid':
      return once('number', value)
    case 'pages':
      return once('pages', value.replace(/^(\d+) ?- ?(\d+)$/, '$1–$2'))
    case 'doi':
      return once('doi', doiIn(value) === undefined ? value : value.replace(/^.*?(?=10\.)/, ''))
    case 'url':
      if (once('url', value)) return true
      ;(record.urls ??= []).push(value)
      return true
    case 'isbn':
      ;(record.isbn ??= []).push(value)
      return true
    case 'keywords':
      record.keywords.push(...(/[;]/.test(value) ? splitList(value) : value.split(/\s*,\s*/).filter(Boolean)))
      return true
    case 'note':
    case 'annote':
    case 'annotation':
      ;(record.notes ??= []).push(value)
      return true
    case 'recordid':
      record.id = value
      return true
    case 'recordtype':
      record.type = value
      return true
    case 'other': {
      const [, key, text] = /^([^=]+?) = ([^]*)$/.exec(value) ?? []
      if (key === undefined) return false
      ;(record.extra[key] ??= []).push(text!)
      return true
    }
    default: {
      const key = TEXT_KEYS.get(name)
      if (key) {
        const text =
          key === 'language'
            ? languageCode(value)
            : key === 'genre' && version >= 3
              ? (GENRE_WORDS[value] ?? value)
              : value
        if (record[key] !== undefined && record[key] !== '') return record[key] === text
        record[key] = text
        return true
      }
      const field = LONG_FIELDS.get(name)
      return field !== undefined && putText(record, field, value)
    }
  }
}

/** The names of a list, parted by "and" outside braces; "and others" is told apart. */
function namesOf(raw: string, version: number): { names: string[]; others: boolean } {
  const parts = splitOutside(raw, /\s+and\s+/iy)
  const others = parts.length > 1 && parts[parts.length - 1]!.trim().toLowerCase() === 'others'
  const names = (others ? parts.slice(0, -1) : parts).map((p) => p.trim()).filter(Boolean)
  return { names: names.map((n) => readName(n, version)), others }
}

function readName(raw: string, version: number): string {
  if (inBraces(raw)) return nameOf({ literal: tidy(fromLatex(raw, version >= 3)) })
  const parts = splitOutside(raw, /\s*,\s*/y).map((p) => tidy(fromLatex(p, version >= 3)))
  if (parts.length > 2)
    return nameOf({ family: parts[0]!, suffix: parts[1]!, given: parts.slice(2).join(', ') })
  if (parts.length === 2) return nameOf({ family: parts[0]!, given: parts[1]! })
  const words = splitOutside(raw.trim(), /\s+/y).map((w) => tidy(fromLatex(w, version >= 3)))
  // Many write bodies without the braces that would keep them whole.
  return version >= 3 && isBody(words.join(' ')) ? nameOf({ literal: words.join(' ') }) : turnName(words)
}

/** Is the text one group in braces? */
function inBraces(raw: string): boolean {
  if (raw[0] !== '{') return false
  let depth = 0
  for (let i = 0; i < raw.length; i++) {
    if (raw[i] === '\\') i++
    else if (raw[i] === '{') depth++
    else if (raw[i] === '}' && !--depth) return i === raw.length - 1
  }
  return false
}

/** Splits a text where a sticky pattern matches outside braces. */
function splitOutside(text: string, at: RegExp): string[] {
  const parts: string[] = []
  let [depth, from] = [0, 0]
  for (let i = 0; i < text.length; i++) {
    const sign = text[i]
    if (sign === '\\') i++
    else if (sign === '{') depth++
    else if (sign === '}') depth = Math.max(0, depth - 1)
    else if (!depth) {
      at.lastIndex = i
      const found = at.exec(text)
      if (!found?.[0]) continue
      parts.push(text.slice(from, i))
      from = i + found[0].length
      i = from - 1
    }
  }
  return [...parts, text.slice(from)]
}
