import { problem, type Problem } from '../../base'
import { emptyRecord, type Rec } from '../record'
import { atLine, LineSpans, type Item, type Reader, type ReadsTo } from './item'
import { policiesOf, type Pages } from './ris-rows'
import { READER_VERSION } from './versions'

// Capitals with up to two spaces; small letters only in the exact form, for "in - class" is a text that goes on.
const LINE = /^(?:([A-Z][A-Z0-9]) {0,2}-|([A-Za-z][A-Za-z0-9]) {2}-)(?: (.*)|)$/

/** A tag and its dash with tabs between or behind them. */
const TABBED = /^([A-Za-z][A-Za-z0-9])[ \t]*-\t/

/** The tags of one record in their order: name, value, number of the line. Kept as lists, for files have millions. */
class Tags {
  private readonly names: string[] = []
  private readonly values: string[] = []
  private readonly lines: number[] = []
  /** The lines of a value that has more than one, by the place of its tag. */
  private readonly long = new Map<number, string[]>()
  length = 0

  add(name: string, value: string, line: number): void {
    this.names[this.length] = name
    this.values[this.length] = value
    this.lines[this.length++] = line
  }

  /** One more line of the last value. */
  goOn(text: string): void {
    const at = this.length - 1
    const parts = this.long.get(at)
    if (parts) parts.push(text)
    else this.long.set(at, [this.values[at]!, text])
  }

  name = (at: number): string => this.names[at]!
  line = (at: number): number => this.lines[at]!

  value(at: number): string {
    const parts = this.long.size ? this.long.get(at) : undefined
    return parts ? parts.filter(Boolean).join(' ') : this.values[at]!
  }

  /** As they stood in the file. */
  text(): string {
    return Array.from(
      { length: this.length },
      (_, at) => `${this.name(at)}  - ${(this.long.get(at) ?? [this.values[at]]).join('\n')}`,
    ).join('\n')
  }

  clear(): void {
    this.length = 0
    if (this.long.size) this.long.clear()
  }
}

/**
 * Reads RIS in pieces: one tag a line, `ER` ends a record. A record without `ID` is numbered by its position from 1, behind
 * the name of its file if one is given, so that records of two files are not taken for the same. A line without a tag
 * continues the one before. What means nothing here, and every value that its field has no room for, goes into `extra` by
 * its tag. What is damaged (text before the first record, a record that is not ended, a year that is none) is named with
 * its line.
 */
export function risReader(to: ReadsTo, file?: string, version = READER_VERSION): Reader {
  const policies = policiesOf(version)
  const tags = new Tags()
  let position = 0
  let at = 0
  let indented = false
  const finish = (problems: Problem[] = []): void => {
    if (!tags.length) return
    to.item(itemOf(tags, ++position, file, problems, policies))
    tags.clear()
  }
  const take = (tag: string, value: string, number: number): void => {
    if (tag === 'ER') return finish()
    if (tag === 'TY' && tags.length) finish([unended(`The record before line ${number}`, number)])
    tags.add(tag, value, number)
  }
  const lines = new LineSpans((text, from, end, number) => {
    at = number
    const usual = usualTag(text, from, end)
    if (usual !== undefined) return take(usual, trimmed(text, from + 6, end), number)
    const whole = text.slice(from, end)
    // Where the first record begins behind blanks, the tags of the others do.
    if (!position && !tags.length && version >= 3) indented = /^[ \t]+TY[ \t]{0,2}-/i.test(whole)
    const row = indented ? whole.trimStart() : whole
    const found = tagOf(version >= 3 ? row.replace(TABBED, '$1  - ') : row)
    if (found) return take(found.tag, found.value, number)
    const more = row.trim()
    if (!more) return
    if (tags.length) return tags.goOn(more)
    to.stray(
      problem(
        'ris-stray',
        'warning',
        `Line ${number} has no tag and follows no record: it is left out.`,
        `line ${number}`,
      ),
    )
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

/** Each tag of two signs once, by its signs: cutting it out of every line would make millions of texts. */
const TAGS: (string | undefined)[] = []

/** The tag of a line in the usual form, `AB  - `, without a regular expression; undefined where it has another. */
function usualTag(text: string, from: number, end: number): string | undefined {
  const length = end - from
  if (
    length < 5 ||
    text.charCodeAt(from + 4) !== DASH ||
    text.charCodeAt(from + 2) !== SPACE ||
    text.charCodeAt(from + 3) !== SPACE ||
    (length > 5 && text.charCodeAt(from + 5) !== SPACE)
  )
    return undefined
  const [a, b] = [text.charCodeAt(from), text.charCodeAt(from + 1)]
  if (!isCapital(a) || !(isCapital(b) || isDigit(b))) return undefined
  return (TAGS[a * 128 + b] ??= String.fromCharCode(a, b))
}

/** A part of a text without what is blank around it; most values have nothing of that. */
function trimmed(text: string, from: number, end: number): string {
  if (from >= end) return ''
  const part = text.slice(from, end)
  const [first, last] = [part.charCodeAt(0), part.charCodeAt(part.length - 1)]
  return first > SPACE && first < 128 && last > SPACE && last < 128 ? part : part.trim()
}

/** The tag of a line in another form, and what follows it. */
function tagOf(row: string): { tag: string; value: string } | undefined {
  // Only a line with a dash in one of four places can have a tag.
  if (row.lastIndexOf('-', 4) < 0) return undefined
  const found = LINE.exec(row.trimEnd()) ?? LINE.exec(row)
  return found ? { tag: (found[1] ?? found[2])!.toUpperCase(), value: (found[3] ?? '').trim() } : undefined
}

function itemOf(
  tags: Tags,
  position: number,
  file: string | undefined,
  problems: Problem[],
  policies: ReturnType<typeof policiesOf>,
): Item {
  const line = tags.line(0)
  if (saysNothing(tags))
    return {
      position,
      line,
      text: tags.text(),
      problems: [...problems, atLine(line, 'ris-nothing', 'error', 'this record says nothing but its type.')],
    }
  const record = emptyRecord(file === undefined ? `${position}` : `${file}-${position}`)
  const pages: Pages = {}
  for (let at = 0; at < tags.length; at++) {
    const tag = tags.name(at)
    const value = tags.value(at)
    if (!value && tag !== 'TY') continue
    const taken = policies.get(tag)?.(record, value, pages) ?? 'none'
    if (taken !== 'all') (record.extra[tag] ??= []).push(value)
    if (taken === 'none' && (tag === 'PY' || tag === 'Y1') && record.year === undefined)
      problems.push(atLine(tags.line(at), 'ris-year', 'warning', `"${value}" holds no year of four digits.`))
  }
  // A last page alone stays one.
  if (pages.from || pages.to)
    record.pages = pages.to === undefined ? pages.from : `${pages.from ?? ''}–${pages.to}`
  withoutHeadings(record)
  return { position, line, record, problems }
}

/** Is there no value but that of the type? */
function saysNothing(tags: Tags): boolean {
  for (let at = 0; at < tags.length; at++) if (tags.name(at) !== 'TY' && tags.value(at)) return false
  return true
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
