import { problem, type Problem } from '../../base'
import { languageCode } from '../../query'
import { emptyRecord, type Rec } from '../record'

const LINE = /^([A-Z][A-Z0-9]) {0,2}-(?: (.*)|)$/

/** What the RIS types are called here; a type that is not in the list is kept as its code. */
const TYPES: Record<string, string> = {
  JOUR: 'journal article',
  CPAPER: 'conference paper',
  CONF: 'conference paper',
  THES: 'thesis',
  RPRT: 'report',
  CHAP: 'chapter',
  BOOK: 'book',
}

export interface RisRead {
  records: Rec[]
  problems: Problem[]
}

/**
 * Reads RIS: one tag a line, `ER` ends a record. A record without `ID` is numbered by its position from 1, behind the
 * name of its file if one is given, so that records of two files are not taken for the same. A line without a tag continues the one before. Tags that mean nothing here go into `extra`. Never throws; what is damaged
 * (text before the first record, a record that is not ended, a year that is none) is named with its line.
 */
export function readRis(text: string, file?: string): RisRead {
  const records: Rec[] = []
  const problems: Problem[] = []
  let tags: [tag: string, value: string, line: number][] = []
  const rows = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/)
  const numbered = (position: number): string => (file === undefined ? `${position}` : `${file}-${position}`)
  const finish = (): void => {
    if (tags.length) records.push(toRecord(tags, numbered(records.length + 1), problems))
    tags = []
  }
  rows.forEach((row, i) => {
    const found = LINE.exec(row.trimEnd()) ?? LINE.exec(row)
    if (!found) {
      const last = tags[tags.length - 1]
      if (last && row.trim()) last[1] = `${last[1]} ${row.trim()}`.trim()
      else if (row.trim())
        problems.push(
          problem(
            'ris-stray',
            'warning',
            `Line ${i + 1} has no tag and follows no record: it is left out.`,
            `line ${i + 1}`,
          ),
        )
      return
    }
    const tag = found[1]!
    if (tag === 'ER') return finish()
    if (tag === 'TY' && tags.length) {
      problems.push(
        problem(
          'ris-unended',
          'warning',
          `The record before line ${i + 1} has no ER line; it is taken as ended.`,
          `line ${i + 1}`,
        ),
      )
      finish()
    }
    tags.push([tag, (found[2] ?? '').trim(), i + 1])
  })
  if (tags.length) {
    problems.push(
      problem(
        'ris-unended',
        'warning',
        'The last record has no ER line; it is taken as ended.',
        `line ${rows.length}`,
      ),
    )
    finish()
  }
  if (!records.length)
    problems.push(
      problem(
        'ris-empty',
        'error',
        'No RIS record was found: a record begins with a line like "TY  - JOUR".',
      ),
    )
  return { records, problems }
}

function toRecord(tags: [string, string, number][], id: string, problems: Problem[]): Rec {
  const record = emptyRecord(id)
  let pages: { from?: string; to?: string } = {}
  for (const [tag, value, line] of tags) {
    if (!value && tag !== 'TY') continue
    switch (tag) {
      case 'TY':
        record.type = TYPES[value] ?? value
        break
      case 'M3':
        record.type = value.toLowerCase()
        break
      case 'ID':
        record.id = value
        break
      case 'TI':
      case 'T1':
        if (!record.title) record.title = value
        else keep(record, tag, value)
        break
      case 'AB':
      case 'N2':
        if (!record.abstract) record.abstract = value
        else if (record.abstract !== value) keep(record, tag, value)
        break
      case 'KW':
        record.keywords.push(...value.split(/\s*;\s*/).filter(Boolean))
        break
      case 'AU':
      case 'A1':
        record.authors.push(value)
        break
      case 'JO':
      case 'T2':
      case 'JF':
        if (!record.journal) record.journal = value
        else if (record.journal !== value) keep(record, tag, value)
        break
      case 'PY':
      case 'Y1': {
        const year = Number(/\d{4}/.exec(value)?.[0])
        if (year) record.year ??= year
        else {
          problems.push(
            problem(
              'ris-year',
              'warning',
              `Line ${line}: "${value}" holds no year of four digits.`,
              `line ${line}`,
            ),
          )
          keep(record, tag, value)
        }
        break
      }
      case 'LA':
        record.language = languageCode(value)
        break
      case 'DO':
        record.doi = value.replace(/^(?:https?:\/\/(?:dx\.)?doi\.org\/|doi:\s*)/i, '')
        break
      case 'SN':
        record.issn = value
        break
      case 'UR':
        record.url ??= value
        break
      case 'VL':
        record.volume = value
        break
      case 'IS':
        record.issue = value
        break
      case 'SP':
        pages = { ...pages, from: value }
        break
      case 'EP':
        pages = { ...pages, to: value }
        break
      default:
        keep(record, tag, value)
    }
  }
  if (pages.from || pages.to) record.pages = [pages.from, pages.to].filter(Boolean).join('–')
  return record
}

function keep(record: Rec, tag: string, value: string): void {
  ;(record.extra[tag] ??= []).push(value)
}
