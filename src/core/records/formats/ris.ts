import { problem, type Problem } from '../../base'
import { emptyRecord, type Rec } from '../record'
import { POLICIES, type Pages } from './ris-rows'

// Capitals with up to two spaces; small letters only in the exact form, for "in - class" is a text that goes on.
const LINE = /^(?:([A-Z][A-Z0-9]) {0,2}-|([A-Za-z][A-Za-z0-9]) {2}-)(?: (.*)|)$/

export interface RisRead {
  records: Rec[]
  problems: Problem[]
}

/**
 * Reads RIS: one tag a line, `ER` ends a record. A record without `ID` is numbered by its position from 1, behind the
 * name of its file if one is given, so that records of two files are not taken for the same. A line without a tag
 * continues the one before. What means nothing here, and every value that its field has no room for, goes into `extra` by
 * its tag. Never throws, and takes linear time; what is damaged (text before the first record, a record that is not
 * ended, a year that is none) is named with its line.
 */
export function readRis(text: string, file?: string): RisRead {
  const records: Rec[] = []
  const problems: Problem[] = []
  let tags: Tag[] = []
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
      if (last && row.trim()) last.parts.push(row.trim())
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
    const tag = (found[1] ?? found[2])!.toUpperCase()
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
    tags.push({ tag, parts: [(found[3] ?? '').trim()], line: i + 1 })
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

/** A tag with the lines of its value, and the number of the first. */
interface Tag {
  tag: string
  parts: string[]
  line: number
}

function toRecord(tags: readonly Tag[], id: string, problems: Problem[]): Rec {
  const record = emptyRecord(id)
  const pages: Pages = {}
  for (const { tag, parts, line } of tags) {
    const value = parts.filter(Boolean).join(' ')
    if (!value && tag !== 'TY') continue
    const taken = POLICIES.get(tag)?.(record, value, pages) ?? 'none'
    if (taken !== 'all') (record.extra[tag] ??= []).push(value)
    if (taken === 'none' && (tag === 'PY' || tag === 'Y1') && record.year === undefined)
      problems.push(
        problem(
          'ris-year',
          'warning',
          `Line ${line}: "${value}" holds no year of four digits.`,
          `line ${line}`,
        ),
      )
  }
  // A last page alone stays one.
  if (pages.from || pages.to)
    record.pages = pages.to === undefined ? pages.from : `${pages.from ?? ''}–${pages.to}`
  return record
}
