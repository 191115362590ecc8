import { problem, type Problem } from '../../base'
import { emptyRecord, type Rec } from '../record'
import { atLine, Lines, type Item, type Reader, type ReadsTo } from './item'
import { POLICIES, type Pages } from './ris-rows'

// Capitals with up to two spaces; small letters only in the exact form, for "in - class" is a text that goes on.
const LINE = /^(?:([A-Z][A-Z0-9]) {0,2}-|([A-Za-z][A-Za-z0-9]) {2}-)(?: (.*)|)$/

/** A tag with the lines of its value, and the number of the first. */
interface Tag {
  tag: string
  parts: string[]
  line: number
}

/**
 * Reads RIS in pieces: one tag a line, `ER` ends a record. A record without `ID` is numbered by its position from 1, behind
 * the name of its file if one is given, so that records of two files are not taken for the same. A line without a tag
 * continues the one before. What means nothing here, and every value that its field has no room for, goes into `extra` by
 * its tag. What is damaged (text before the first record, a record that is not ended, a year that is none) is named with
 * its line.
 */
export function risReader(to: ReadsTo, file?: string): Reader {
  let tags: Tag[] = []
  let position = 0
  let at = 0
  const finish = (problems: Problem[] = []): void => {
    if (!tags.length) return
    const line = tags[0]!.line
    to.item(itemOf(tags, ++position, line, file, problems))
    tags = []
  }
  const lines = new Lines((row, number) => {
    at = number
    const found = tagOf(row)
    if (!found) {
      const text = row.trim()
      if (!text) return
      const last = tags[tags.length - 1]
      if (last) last.parts.push(text)
      else
        to.stray(
          problem(
            'ris-stray',
            'warning',
            `Line ${number} has no tag and follows no record: it is left out.`,
            `line ${number}`,
          ),
        )
      return
    }
    const { tag, value } = found
    if (tag === 'ER') return finish()
    if (tag === 'TY' && tags.length) finish([unended(`The record before line ${number}`, number)])
    tags.push({ tag, parts: [value], line: number })
  })
  return {
    push: (text) => lines.push(text),
    end: () => {
      lines.end()
      finish([unended('The last record', at)])
    },
  }
}

const unended = (which: string, line: number): Problem =>
  problem('ris-unended', 'warning', `${which} has no ER line; it is taken as ended.`, `line ${line}`)

const SPACE = 32
const DASH = 45
const isCapital = (code: number): boolean => code >= 65 && code <= 90
const isDigit = (code: number): boolean => code >= 48 && code <= 57

/** The tag of a line and what follows it; the usual form without a regular expression, for files have millions of lines. */
function tagOf(row: string): { tag: string; value: string } | undefined {
  const second = row.charCodeAt(1)
  if (
    row.charCodeAt(4) === DASH &&
    row.charCodeAt(2) === SPACE &&
    row.charCodeAt(3) === SPACE &&
    isCapital(row.charCodeAt(0)) &&
    (isCapital(second) || isDigit(second)) &&
    (row.length === 5 || row.charCodeAt(5) === SPACE)
  )
    return { tag: row.slice(0, 2), value: row.slice(6).trim() }
  // Only a line with a dash in one of four places can have a tag.
  if (row.lastIndexOf('-', 4) < 0) return undefined
  const found = LINE.exec(row.trimEnd()) ?? LINE.exec(row)
  return found ? { tag: (found[1] ?? found[2])!.toUpperCase(), value: (found[3] ?? '').trim() } : undefined
}

function itemOf(
  tags: readonly Tag[],
  position: number,
  line: number,
  file: string | undefined,
  problems: Problem[],
): Item {
  const text = (): string => tags.map((t) => `${t.tag}  - ${t.parts.join('\n')}`).join('\n')
  if (tags.every(({ tag, parts }) => tag === 'TY' || !parts.some(Boolean)))
    return {
      position,
      line,
      text: text(),
      problems: [...problems, atLine(line, 'ris-nothing', 'error', 'this record says nothing but its type.')],
    }
  const record = emptyRecord(file === undefined ? `${position}` : `${file}-${position}`)
  const pages: Pages = {}
  for (const { tag, parts, line: own } of tags) {
    const value = parts.length === 1 ? parts[0]! : parts.filter(Boolean).join(' ')
    if (!value && tag !== 'TY') continue
    const taken = POLICIES.get(tag)?.(record, value, pages) ?? 'none'
    if (taken !== 'all') (record.extra[tag] ??= []).push(value)
    if (taken === 'none' && (tag === 'PY' || tag === 'Y1') && record.year === undefined)
      problems.push(atLine(own, 'ris-year', 'warning', `"${value}" holds no year of four digits.`))
  }
  // A last page alone stays one.
  if (pages.from || pages.to)
    record.pages = pages.to === undefined ? pages.from : `${pages.from ?? ''}–${pages.to}`
  withoutHeadings(record)
  return { position, line, record, problems }
}

/** Headings that were written among the keywords, for whoever knows no headings, are no keywords. */
function withoutHeadings(record: Rec): void {
  for (const { label } of record.headings) {
    const at = record.keywords.lastIndexOf(label)
    if (at >= 0) record.keywords.splice(at, 1)
  }
}

export interface RisRead {
  records: Rec[]
  problems: Problem[]
}

/** Reads a whole text as RIS. */
export function readRis(text: string, file?: string): RisRead {
  const records: Rec[] = []
  const problems: Problem[] = []
  const reader = risReader(
    {
      item: (item) => {
        if (item.record) records.push(item.record)
        problems.push(...item.problems)
      },
      stray: (p) => problems.push(p),
    },
    file,
  )
  reader.push(text)
  reader.end()
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
