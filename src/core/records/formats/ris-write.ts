import type { Rec } from '../record'
import { CODES, TYPES } from './ris-rows'

/** Writes records as RIS; `readRis` gives the same fields back. Unknown tags are written as they were read. */
export function writeRis(records: readonly Rec[]): string {
  return records.map(writeRecord).join('')
}

function writeRecord(r: Rec): string {
  const rows: string[] = []
  const put = (tag: string, value: string | number | undefined): void => {
    if (value !== undefined && value !== '')
      rows.push(`${tag}  - ${String(value).replace(/\s*[\r\n]+\s*/g, ' ')}`)
  }
  const code = r.extra.TY?.[0] ?? CODES[r.type ?? ''] ?? (/^[A-Z]+$/.test(r.type ?? '') ? r.type! : 'GEN')
  put('TY', code)
  put('ID', r.id)
  put('TI', r.title)
  for (const author of r.authors) put('AU', author)
  put('PY', r.year)
  put('T2', r.journal)
  put('VL', r.volume)
  put('IS', r.issue)
  const [from, to] = (r.pages ?? '').split('–')
  put('SP', from)
  put('EP', to)
  put('AB', r.abstract)
  for (const keyword of r.keywords) put('KW', keyword)
  put('LA', r.language)
  put('DO', r.doi)
  put('SN', r.issn)
  put('UR', r.url)
  // The code alone would be read as another type, and so would one more type in words that stands before it.
  const inWords = r.extra.M3 !== undefined && r.type === r.type?.toLowerCase()
  if (r.type && (inWords || (TYPES[code] ?? code) !== r.type)) put('M3', r.type)
  for (const [tag, values] of Object.entries(r.extra))
    for (const value of tag === 'TY' ? values.slice(1) : values) put(tag, value)
  rows.push('ER  - ', '')
  return rows.join('\n') + '\n'
}
