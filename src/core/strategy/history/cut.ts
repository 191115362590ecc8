import Papa from 'papaparse'
import { readCount, readLineNumber } from './cells'

/** A history cut into cells. `lines` are the numbers (from 1) of the lines of the paste that a row was made of. */
export interface Cut {
  layout: string
  rows: { cells: string[]; lines: number[] }[]
  /** Lines that are no part of the table for certain, as buttons are. */
  aside?: number[]
}

type Cutter = (lines: readonly string[]) => Cut | undefined

const filled = (line: string): boolean => line.trim() !== ''

/** The width that most rows have; undefined where fewer than two thirds agree or it is below two. */
function widthOf(rows: readonly (readonly string[])[]): number | undefined {
  const count = new Map<number, number>()
  for (const r of rows) count.set(r.length, (count.get(r.length) ?? 0) + 1)
  const [best] = [...count].sort((a, b) => b[1] - a[1])
  return best && best[0] > 1 && best[1] >= rows.length * 0.5 ? best[0] : undefined
}

/** Columns parted by tabs, as a page gives them: quotation marks belong to the text, unless they hold a tab or themselves. */
const tabs: Cutter = (lines) => {
  if (!lines.some((l) => l.includes('\t'))) return undefined
  // A cell that begins with a mark and does not end with one goes over several lines: that is a file, not a page.
  if (lines.some((l) => l.split('\t').some((c) => (c.match(/"/g)?.length ?? 0) % 2 === 1)))
    return delimited('\t', 'columns parted by tabs')(lines)
  const cell = (text: string): string =>
    /^".*""?.*"$/.test(text) && text.includes('""') && text !== '""'
      ? text.slice(1, -1).replace(/""/g, '"')
      : text
  const rows = lines.flatMap((line, i) =>
    filled(line) ? [{ cells: line.split('\t').map((c) => cell(c.trim())), lines: [i + 1] }] : [],
  )
  return widthOf(rows.map((r) => r.cells)) ? { layout: 'columns parted by tabs', rows } : undefined
}

/** Columns parted by a sign, quoted where the sign stands inside (RFC 4180 with other signs too). */
const delimited =
  (sign: string, layout: string): Cutter =>
  (lines) => {
    const text = lines.join('\n')
    if (!text.includes(sign)) return undefined
    const rows: (Cut['rows'][number] & { raw: string })[] = []
    let from = 0
    Papa.parse<string[]>(text, {
      delimiter: sign,
      step: ({ data, meta }) => {
        const raw = text.slice(from, meta.cursor)
        const first = text.slice(0, from).split('\n').length
        const own = raw
          .replace(/\n$/, '')
          .split('\n')
          .map((_, i) => first + i)
        from = meta.cursor
        if (data.some(filled)) rows.push({ cells: data.map((c) => c.trim()), lines: own, raw })
      },
    })
    // Who quotes only what needs it means the marks round anything else as part of the text: a phrase.
    const needs = (cell: string): boolean => cell.includes(sign) || /["\n]/.test(cell)
    const marked = (cell: string, raw: string): boolean => raw.includes(`"${cell.replace(/"/g, '""')}"`)
    const words = rows.flatMap((r) =>
      r.cells.flatMap((c) => (/\p{L}/u.test(c) && !needs(c) ? [marked(c, r.raw)] : [])),
    )
    const sparing = words.some((w) => !w)
    const kept = rows.map(({ cells, lines: own, raw }) => ({
      cells: sparing ? cells.map((c) => (c && !needs(c) && marked(c, raw) ? `"${c}"` : c)) : cells,
      lines: own,
    }))
    return widthOf(kept.map((r) => r.cells)) ? { layout, rows: kept } : undefined
  }

/** A table drawn with upright strokes; rules of dashes are no rows. */
const strokes: Cutter = (lines) => {
  const rows = lines.flatMap((line, i) =>
    line.split('|').length > 2 && !/^[\s|:+=-]+$/.test(line)
      ? [
          {
            cells: line
              .trim()
              .replace(/^\||\|$/g, '')
              .split('|')
              .map((c) => c.trim()),
            lines: [i + 1],
          },
        ]
      : [],
  )
  return rows.length && widthOf(rows.map((r) => r.cells))
    ? { layout: 'a table drawn with strokes', rows }
    : undefined
}

/** Columns set apart by two or more spaces; a line that begins far in with one cell goes on with the text above. */
const spaced: Cutter = (lines) => {
  const rows = lines.flatMap((line, i) =>
    filled(line) ? [{ cells: line.trim().split(/[ \u00a0]{2,}/), lines: [i + 1] }] : [],
  )
  const wide = rows.filter((r) => r.cells.length > 1)
  const width = widthOf(wide.map((r) => r.cells))
  if (!width || wide.length < rows.length * 0.4) return undefined
  return { layout: 'columns set apart by spaces', rows }
}

const LABEL = /^\s*(\p{L}[\p{L} ]{0,24})\s*[:=]\s*(.*)$/u

/** Blocks of "label: value"; a block begins anew with its first label, and what has no label goes on with the last. */
const blocks: Cutter = (lines) => {
  const labels = lines.flatMap((l) => LABEL.exec(l)?.[1]?.trim().toLowerCase() ?? [])
  const known = [...new Set(labels)].filter((l) => roleOfLabel(l))
  const [first] = known
  if (!first || known.length < 2 || labels.filter((l) => l === first).length < 2) return undefined
  const rows: { values: Map<string, string>; lines: number[] }[] = []
  let label = ''
  lines.forEach((line, i) => {
    if (!filled(line)) return
    const m = LABEL.exec(line)
    const named = m && known.includes(m[1]!.trim().toLowerCase()) ? m[1]!.trim().toLowerCase() : undefined
    if (named === first || !rows.length) rows.push({ values: new Map(), lines: [] })
    const row = rows[rows.length - 1]!
    row.lines.push(i + 1)
    label = named ?? label
    row.values.set(label, [row.values.get(label), named ? m![2] : line.trim()].filter(Boolean).join(' '))
  })
  return {
    layout: 'blocks with labels',
    rows: [
      { cells: known, lines: [] },
      ...rows.map((r) => ({ cells: known.map((k) => r.values.get(k) ?? ''), lines: r.lines })),
    ],
  }
}

/** Every cell on a line of its own, as some pages give a table when it is copied. What comes back each time is a button. */
const cellPerLine: Cutter = (lines) => {
  const all = lines.flatMap((line, i) => (filled(line) ? [{ text: line.trim(), line: i + 1 }] : []))
  const times = new Map<string, number>()
  for (const { text } of all) times.set(text, (times.get(text) ?? 0) + 1)
  const often = Math.max(3, all.length / 6)
  const cells = all.filter(
    ({ text }) => !(/^\D+$/.test(text) && times.get(text)! >= Math.min(often, all.length / 3)),
  )
  for (const width of [3, 2, 4, 5]) {
    if (cells.length < width * 2) continue
    // A heading of the columns may stand before; then the cells are one row more.
    const rest = cells.length % width
    if (rest) continue
    const rows = Array.from({ length: cells.length / width }, (_, r) =>
      cells.slice(r * width, (r + 1) * width),
    )
    const column = (c: number): string[] => rows.slice(1).map((r) => r[c]!.text)
    const isNumber = (t: string): boolean => readLineNumber(t) !== undefined || readCount(t) !== undefined
    const numeric = Array.from({ length: width }, (_, c) => column(c).every(isNumber))
    if (!numeric.some(Boolean) || rows.every((r) => r.every((c) => isNumber(c.text)))) continue
    return {
      layout: 'one cell on each line',
      rows: rows.map((r) => ({ cells: r.map((c) => c.text), lines: r.map((c) => c.line) })),
      aside: all.filter((c) => !cells.includes(c)).map((c) => c.line),
    }
  }
  return undefined
}

const LEADING =
  /^\s*(?:[-•*☐☑✓]\s*)?(#?\p{L}{0,8}[ .-]?\d{1,4}[.):]|#\d{1,4}|\p{L}{1,8}[ .-]?\d{1,4}(?=\s{1,3}\S))[\s:.–—-]*(.*)$/u
const WHEN =
  /[\s(,;–—-]*((?:on |at )?(?:\d{4}-\d{2}-\d{2}|\d{1,2}\.\d{1,2}\.\d{4}|\d{1,2} \p{L}{3,9} \d{4})(?:[ T,]+\d{1,2}:\d{2}(?::\d{2})?(?: ?[ap]m)?)?)[)\s]*$/iu
const NUMBER = "\\d{1,3}(?:[.,'’\\u00a0\\u202f\\u2009 ]\\d{3})+|\\d+"
const TRAILING = new RegExp(
  `(?:\\s*[([]\\s*(?:n\\s*=\\s*)?(${NUMBER})\\s*(?:\\p{L}+)?\\s*[)\\]]|\\s*(?:→|=>|=|:|–|—)\\s*(${NUMBER})\\s*(?:hits?|results?|records?|found)?|[\\s,;]+(${NUMBER})\\s+(?:hits?|results?|records?|items?|documents?|found)|\\t(${NUMBER}))\\s*$`,
  'iu',
)

/** A list: a number before, the count behind with a sign, a word or brackets; lines with neither go on with the one above. */
const list: Cutter = (lines) => {
  const rows: Cut['rows'] = []
  let open = false
  lines.forEach((line, i) => {
    if (!filled(line)) {
      open = false
      return
    }
    const whenAt = WHEN.exec(line)
    const before = whenAt ? line.slice(0, whenAt.index) : line
    const count = TRAILING.exec(before)
    const body = count ? before.slice(0, count.index) : before
    const number = LEADING.exec(body)
    const hits = count ? (count[1] ?? count[2] ?? count[3] ?? count[4] ?? '') : ''
    const cells = [number?.[1] ?? '', (number?.[2] ?? body).trim(), hits, whenAt?.[1] ?? '']
    const last = rows[rows.length - 1]
    if (!number && last && (open || /^\s/.test(line)) && !(last.cells[2] && hits)) {
      last.cells[1] = `${last.cells[1]} ${cells[1]}`.trim()
      last.cells[2] ||= hits
      last.cells[3] ||= cells[3]!
      last.lines.push(i + 1)
    } else rows.push({ cells, lines: [i + 1] })
    open = !rows[rows.length - 1]!.cells[2]
  })
  return rows.length ? { layout: 'a list', rows } : undefined
}

export const CUTTERS: readonly Cutter[] = [
  tabs,
  strokes,
  delimited(';', 'columns parted by semicolons'),
  delimited(',', 'columns parted by commas'),
  blocks,
  cellPerLine,
  spaced,
  list,
]

export type Role = 'number' | 'text' | 'hits' | 'when' | 'limits'

const LABELS: Record<Role, RegExp> = {
  number: /^(?:no\.?|nr\.?|#|number|line|lines?|row|step|set|id)$/,
  text: /^(?:query|queries|search|searches|statement|search statement|terms?|search terms|expression|what|text|string)$/,
  hits: /^(?:hits?|results?|records?|found|count|items|number of (?:hits|results|records))$/,
  when: /^(?:date|time|when|run|run at|run on|at|day|date and time)$/,
  limits: /^(?:limits?|filters?|restricted to|restrictions?)$/,
}

/** What a column is for, by the name at its head. */
export function roleOfLabel(label: string): Role | undefined {
  const name = label.trim().toLowerCase().replace(/:$/, '')
  return (Object.keys(LABELS) as Role[]).find((r) => LABELS[r].test(name))
}
