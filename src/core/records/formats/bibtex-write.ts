import { digestOf, foldWord } from '../../base'
import { FIELDS, joinList, textOf } from '../fields'
import type { Rec } from '../record'
import { entryOf, typeOfEntry } from '../types'
import { TEXT_FIELDS, TEXT_KEYS } from './bibtex-fields'
import { toLatex } from './latex'
import { nameParts } from './names'

const KEY = /^[A-Za-z][A-Za-z0-9:.+/_-]*$/
const SMALL = new Set('a an the on of in for and der die das ein eine el la los las un una le les'.split(' '))

/**
 * Writes records as BibTeX in UTF-8; the reader gives the same fields back. The key of an entry depends on its record
 * alone: the record's own number where that can be a key, else author, year and first word; where two of those agree, each
 * has a few signs of its own behind it.
 */
export function writeBibtex(records: readonly Rec[]): string {
  const wished = records.map((r) => (KEY.test(r.id) ? r.id : madeKey(r)))
  const times = new Map<string, number>()
  for (const key of wished) times.set(key.toLowerCase(), (times.get(key.toLowerCase()) ?? 0) + 1)
  return records
    .map((r, i) => {
      const key = wished[i]!
      const alone = times.get(key.toLowerCase()) === 1
      return writeEntry(
        r,
        alone ? key : `${key}-${digestOf(`${r.id} ${r.title} ${r.doi ?? ''}`).slice(0, 6)}`,
      )
    })
    .join('\n')
}

function madeKey(r: Rec): string {
  const plain = (text: string): string => foldWord(text).replace(/[^a-z0-9]/g, '')
  const { family, literal } = nameParts(r.authors[0] ?? r.editors?.[0] ?? '')
  const who = plain(family ?? literal ?? '') || 'anonymous'
  const word = r.title.split(/[^\p{L}\p{N}]+/u).find((w) => w && !SMALL.has(w.toLowerCase())) ?? ''
  const key = `${who}${r.year ?? ''}${plain(word)}`
  return KEY.test(key) ? key : `r${key}`
}

const WRITTEN: ReadonlySet<string> = new Set([
  ...TEXT_FIELDS.map(([key]) => key),
  ...[
    'authors',
    'editors',
    'translators',
    'year',
    'issued',
    'issue',
    'number',
    'pages',
    'doi',
    'url',
    'urls',
  ],
  ...['isbn', 'keywords', 'notes', 'type'],
])
const OTHERS = FIELDS.filter((f) => !WRITTEN.has(f.key))
/** Names of fields that mean something to the reader: what is kept under such a name cannot be written under it. */
const TAKEN = new Set([
  ...TEXT_KEYS.keys(),
  ...'author editor translator subtitle year date month number issue eid pages doi url isbn keywords note annote'.split(
    ' ',
  ),
  ...'annotation recordid recordtype other'.split(' '),
  ...FIELDS.map((f) => f.key.toLowerCase()),
])

function writeEntry(r: Rec, key: string): string {
  const type = r.extra['entry type']?.[0] ?? entryOf(r.type) ?? 'misc'
  const rows: string[] = []
  const article = typeOfEntry(type) === 'journal article'
  const raw = (name: string, value: string | number | undefined): void => {
    if (value !== undefined && value !== '') rows.push(`  ${name} = {${value}}`)
  }
  const put = (name: string, value: string | undefined): void =>
    raw(name, value === undefined ? undefined : toLatex(value.replace(/[ \t\r\n]+/g, ' ').trim()))
  const names = (name: string, list: readonly string[] | undefined): void => {
    const all = (list ?? []).map(writeName)
    if (r.extra['and others']?.includes(name)) all.push('others')
    if (all.length) raw(name, all.join(' and '))
  }
  if (key !== r.id) put('recordid', r.id)
  names('author', r.authors)
  names('editor', r.editors)
  names('translator', r.translators)
  // Both are there only where a date says more than the year.
  raw('year', r.year)
  raw('date', r.issued)
  for (const [field, [name]] of TEXT_FIELDS) {
    if (field === 'title') raw('title', protectCapitals(r.title))
    else put(field === 'journal' && !article ? 'booktitle' : name!, r[field])
  }
  put(article ? 'number' : 'issue', r.issue)
  put(article ? 'eid' : 'number', r.number)
  raw('pages', r.pages === undefined ? undefined : toLatex(r.pages).replaceAll('–', '--'))
  raw('doi', r.doi === undefined ? undefined : escapeAddress(r.doi))
  raw('url', r.url === undefined ? undefined : escapeAddress(r.url))
  for (const url of r.urls ?? []) raw('url', escapeAddress(url))
  for (const isbn of r.isbn ?? []) put('isbn', isbn)
  // Commas part keywords; where one has a comma itself semicolons do, and one at the end says so of a single keyword.
  const plain = !r.keywords.some((k) => /[,;]/.test(k))
  put('keywords', plain ? r.keywords.join(', ') : joinList(r.keywords) + (r.keywords.length === 1 ? ';' : ''))
  for (const note of r.notes ?? []) put('note', note)
  for (const field of OTHERS) put(field.key.toLowerCase(), textOf(r, field))
  for (const [name, values] of Object.entries(r.extra))
    for (const [i, value] of values.entries())
      if ((name === 'entry type' && !i) || name === 'and others') continue
      else if (/^[a-z][a-z0-9_-]*$/.test(name) && !TAKEN.has(name)) put(name, value)
      else put('other', `${name} = ${value}`)
  if (r.type !== undefined && typeOfEntry(type) !== r.type) put('recordtype', r.type)
  return `@${type}{${key},\n${rows.join(',\n')}\n}\n`
}

/** A title in which words with capitals inside keep them under styles that write titles small. */
const protectCapitals = (title: string): string =>
  toLatex(title.replace(/[ \t\r\n]+/g, ' ').trim()).replace(/[^ ]+/g, (word) =>
    /^[^\\{}<>$]*\p{L}[^\\{}<>$]*\p{Lu}[^\\{}<>$]*$/u.test(word) ? `{${word}}` : word,
  )

const escapeAddress = (text: string): string => text.replace(/[_%&#$~{}]/g, '\\$&')

function writeName(name: string): string {
  const { family, given, suffix, literal } = nameParts(name)
  const part = (text: string): string => (/,|\sand\s/i.test(text) ? `{${toLatex(text)}}` : toLatex(text))
  if (literal !== undefined) return `{${toLatex(literal)}}`
  return [part(family!), ...(suffix === undefined ? [] : [part(suffix)]), part(given ?? '')].join(', ')
}
