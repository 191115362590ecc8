import { emptyByName } from '../../base'
import { FIELDS, fieldOf, putText, textOf, type Field } from '../fields'
import { fieldOfHeading } from '../headings'
import { emptyRecord, type Rec } from '../record'
import { atLine, type Item, type Reader, type ReadsTo } from './item'
import { commasOf, readNames, type Commas } from '../names'
import { putForeign, type Reading } from './foreign-value'
import { READER_VERSION } from './versions'

/** Which field each column goes into, by place; `id` for the record's number; undefined: kept under its heading. */
export type Columns = readonly (string | undefined)[]

export interface TableShape {
  separator: ',' | ';' | '\t' | '|'
  headings: string[]
  columns: Columns
  /** What commas do in columns of names, by place, where the column shows it or a person said it. */
  commas?: Readonly<Record<number, Commas>>
}

const SEPARATORS = ['\t', ',', ';', '|'] as const

/** The cells of rows, quotation marks doubled inside (RFC 4180). A cell that does not end is told by its line. */
export class Rows {
  private kept = ''
  private line = 1

  constructor(
    private readonly separator: string,
    private readonly row: (cells: string[], line: number, text: string) => void,
    private readonly broken: (text: string, line: number) => void,
  ) {}

  push(text: string): void {
    this.kept = this.read(this.kept + text, false)
  }

  end(): void {
    let rest = this.kept
    while (rest) {
      rest = this.read(rest, true)
      if (!rest) break
      // The quotation mark of a cell in this line is never closed: the line is broken, the next are read.
      const stop = /\r\n?|\n/.exec(rest)
      const first = stop ? rest.slice(0, stop.index) : rest
      this.broken(first, this.line++)
      rest = stop ? rest.slice(stop.index + stop[0].length) : ''
    }
    this.kept = ''
  }

  /** Reads whole rows; gives what is left. */
  private read(text: string, last: boolean): string {
    let from = 0
    for (;;) {
      const end = this.endOfRow(text, from, last)
      if (end === undefined) return text.slice(from)
      const [stop, next, lines, cells] = end
      if (stop > from) this.row(cells, this.line, text.slice(from, stop))
      this.line += lines
      from = next
      if (from >= text.length) return ''
    }
  }

  private endOfRow(
    text: string,
    from: number,
    last: boolean,
  ): [number, number, number, string[]] | undefined {
    const cells: string[] = []
    let i = from
    let lines = 0
    for (;;) {
      let cell = ''
      if (text[i] === '"') {
        for (i++; ;) {
          const quote = text.indexOf('"', i)
          if (quote < 0) return undefined
          // A quotation mark at the very end may be half of a doubled one.
          if (quote === text.length - 1 && !last) return undefined
          cell += text.slice(i, quote)
          i = quote + 1
          if (text[i] !== '"') break
          cell += '"'
          i++
        }
        lines += cell.match(/\r\n?|\n/g)?.length ?? 0
      }
      const start = i
      while (i < text.length && text[i] !== this.separator && text[i] !== '\n' && text[i] !== '\r') i++
      if (i >= text.length && !last) return undefined
      cells.push(cell + text.slice(start, i))
      if (text[i] === this.separator) i++
      else {
        if (text[i] === '\r' && i === text.length - 1 && !last) return undefined
        const next = text[i] === '\r' && text[i + 1] === '\n' ? i + 2 : Math.min(i + 1, text.length)
        return [i, next, lines + 1, cells]
      }
    }
  }
}

/** The rows of a text, at most so many. */
export function rowsOf(text: string, separator: string, most = Infinity): string[][] {
  const rows: string[][] = []
  const reader = new Rows(
    separator,
    (cells) => {
      if (rows.length < most) rows.push(cells)
    },
    () => undefined,
  )
  reader.push(text)
  reader.end()
  return rows
}

/** The separator that cuts the first rows of a text into the most, and equally many, cells. */
export function separatorOf(text: string): TableShape['separator'] {
  let best: { separator: TableShape['separator']; score: number } = { separator: ',', score: 0 }
  for (const separator of SEPARATORS) {
    const rows = rowsOf(text, separator, 12)
    const width = rows[0]?.length ?? 0
    const alike = rows.filter((r) => r.length === width).length / Math.max(1, rows.length)
    if (width > 1 && width * alike > best.score) best = { separator, score: width * alike }
  }
  return best.separator
}

/** What the headings of a table say where each column goes; a heading remembered from before goes first. */
export function proposeColumns(
  headings: readonly string[],
  remembered: ReadonlyMap<string, string> = new Map(),
): (string | undefined)[] {
  const taken = new Set<string>()
  return headings.map((heading) => {
    const name = heading
      .trim()
      .toLowerCase()
      .replace(/[_\s]+/g, ' ')
    const key = remembered.get(name) ?? fieldOfHeading(heading)
    if (key === undefined || key === '' || taken.has(key)) return undefined
    taken.add(key)
    return key
  })
}

/** What commas do in each column of names, as far as its cells show it. */
export function commasInColumns(
  columns: Columns,
  rows: readonly (readonly string[])[],
): Readonly<Record<number, Commas>> | undefined {
  const found: Record<number, Commas> = {}
  columns.forEach((key, i) => {
    if (key !== 'authors' && key !== 'editors' && key !== 'translators') return
    const commas = commasOf(rows.map((row) => row[i] ?? ''))
    if (commas) found[i] = commas
  })
  return Object.keys(found).length ? found : undefined
}

/** A column of names in which commas leave open who is who, with a cell and both its readings. */
export interface OpenNames {
  column: number
  cell: string
  readings: Readonly<Record<Commas, string[]>>
}

/** The columns of names whose commas can be read in two ways, as far as these rows go. */
export function openNames(
  { columns }: Pick<TableShape, 'columns'>,
  rows: readonly (readonly string[])[],
): OpenNames[] {
  const found: OpenNames[] = []
  const known = commasInColumns(columns, rows) ?? {}
  columns.forEach((key, column) => {
    if (key !== 'authors' && key !== 'editors' && key !== 'translators') return
    const cell = known[column]
      ? undefined
      : rows.map((row) => row[column] ?? '').find((c) => readNames(c).open)
    if (cell === undefined) return
    const names = (commas: Commas): string[] => readNames(cell, commas).names.map((n) => n.name)
    found.push({ column, cell, readings: { between: names('between'), within: names('within') } })
  })
  return found
}

/** The heading under which the record's own number stands in tables written here. */
const NUMBER = 'Number in its source'
const OTHER = 'Other'
/** Were these headings written here? Then a mark that made a cell harmless is taken off again. */
const ours = (headings: readonly string[]): boolean => headings[0] === NUMBER

/** Reads a table in pieces, the first row being its headings. */
export function tableReader(
  to: ReadsTo,
  { separator, columns, commas = {} }: Pick<TableShape, 'separator' | 'columns' | 'commas'>,
  version = READER_VERSION,
): Reader {
  const readings = columns.map((_, i): Reading => ({ version, commas: commas[i] }))
  let headings: string[] | undefined
  let position = 0
  const rows = new Rows(
    separator,
    (cells, line, text) => {
      if (!headings) {
        headings = cells.map((c) => c.trim())
        return
      }
      if (cells.every((c) => !c.trim())) return
      to.item(itemOf(cells, line, text, ++position, headings, columns, readings))
    },
    (text, line) =>
      to.item({
        position: ++position,
        line,
        text,
        problems: [atLine(line, 'table-quote', 'error', 'a quotation mark is opened and never closed.')],
      }),
  )
  return rows
}

function itemOf(
  cells: readonly string[],
  line: number,
  text: string,
  position: number,
  headings: readonly string[],
  columns: Columns,
  readings: readonly Reading[],
): Item {
  if (cells.length > headings.length && cells.slice(headings.length).some((c) => c.trim()))
    return {
      position,
      line,
      text,
      problems: [
        atLine(
          line,
          'table-cells',
          'error',
          `this row has ${cells.length} cells, the table ${headings.length} columns: is a separator inside a cell without quotation marks?`,
        ),
      ],
    }
  const record = emptyRecord(String(position))
  const own = ours(headings)
  const problems = cells.flatMap((raw, i) => {
    const cell = own ? raw.replace(/^'(?='*[=+\-@\t\r])/, '') : raw.trim()
    if (!cell) return []
    const key = own && headings[i] === NUMBER ? 'id' : own ? keyOfLabel(headings[i]!) : columns[i]
    if (own && headings[i] === OTHER && putOther(record, cell)) return []
    if (own ? putOwn(record, key, cell) : putForeign(record, key, cell, true, readings[i])) return []
    ;(record.extra[headings[i] || `column ${i + 1}`] ??= []).push(cell)
    return key === 'year' && record.year === undefined
      ? [atLine(line, 'table-year', 'warning', `"${cell}" holds no year of four digits.`)]
      : []
  })
  return { position, line, record, problems }
}

const LABELS = new Map(FIELDS.map((f) => [f.label, f.key]))
const keyOfLabel = (label: string): string | undefined => LABELS.get(label)

/** Puts a cell that was written here into its field. */
function putOwn(record: Rec, key: string | undefined, cell: string): boolean {
  if (key === 'id') {
    record.id = cell
    return true
  }
  const field = key === undefined ? undefined : fieldOf(key)
  return field !== undefined && putText(record, field, cell)
}

function putOther(record: Rec, cell: string): boolean {
  try {
    record.extra = Object.assign(emptyByName(), record.extra, JSON.parse(cell) as Rec['extra'])
    return true
  } catch {
    return false
  }
}

/** A cell that no table program takes for a formula: an apostrophe stands before it. */
const harmless = (text: string): string => (/^'*[=+\-@\t\r]/.test(text) ? `'${text}` : text)
const quoted = (text: string): string =>
  /[",\r\n]|^\s|\s$/.test(text) ? `"${text.replaceAll('"', '""')}"` : text

/**
 * Writes records as CSV (RFC 4180), with the fields chosen in their order; without a choice, every field that one of them
 * has, so that the reader gives the same records back.
 */
export function writeTable(records: readonly Rec[], fields?: readonly string[]): string {
  const chosen: Field[] = (fields ?? FIELDS.map((f) => f.key)).flatMap((k) => fieldOf(k) ?? [])
  const used = fields ? chosen : chosen.filter((f) => records.some((r) => textOf(r, f) !== undefined))
  const other = !fields && records.some((r) => Object.keys(r.extra).length)
  const heading = [...(fields ? [] : [NUMBER]), ...used.map((f) => f.label), ...(other ? [OTHER] : [])]
  const rows = records.map((r) => [
    ...(fields ? [] : [r.id]),
    ...used.map((f) => textOf(r, f) ?? ''),
    ...(other ? [Object.keys(r.extra).length ? JSON.stringify(r.extra) : ''] : []),
  ])
  return csvText([heading, ...rows])
}

/** Rows as CSV (RFC 4180), harmless against formulas. */
export const csvText = (rows: readonly (readonly string[])[]): string =>
  rows.map((row) => row.map((c) => quoted(harmless(c))).join(',') + '\r\n').join('')
