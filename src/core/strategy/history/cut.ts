import Papa from 'papaparse'
import { readCount, readLineNumber } from './cells'
import { limitLine, trailingCount } from './counts'

/** A history cut into cells. `lines` are the numbers (from 1) of the lines of the paste that a row was made of. */
export interface Cut {
  layout: string
  rows: { cells: string[]; lines: number[] }[]
  /** Lines that are no part of the table for certain, as buttons are. */
  aside?: number[]
  /** What each column is for, where the way of cutting knows. */
  roles?: readonly Role[]
  /** By row: counts that could be meant instead, where the grouping of a number is not sure. */
  unsure?: ReadonlyMap<number, number[]>
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
    let first = 1
    Papa.parse<string[]>(text, {
      delimiter: sign,
      step: ({ data, meta }) => {
        const raw = text.slice(from, meta.cursor)
        const pieces = raw.split('\n')
        const own = pieces.slice(0, raw.endsWith('\n') ? -1 : undefined).map((_, i) => first + i)
        first += pieces.length - 1
        from = meta.cursor
        if (data.some(filled)) rows.push({ cells: data.map((c) => c.trim()), lines: own, raw })
      },
    })
    // Who quotes only what needs it means the marks round anything else as part of the text: a phrase.
    const needs = (cell: string): boolean => cell.includes(sign) || /[",;\t\n]/.test(cell)
    const marked = (cell: string, raw: string): boolean => raw.includes(`"${cell.replace(/"/g, '""')}"`)
    // A head is written in its own way: it says nothing of how the searches below it are.
    const isHead = ({ cells }: { cells: string[] }): boolean =>
      !cells.some((c) => /\d/.test(c)) && cells.some((c) => roleOfLabel(c))
    const words = rows
      .filter((r) => !isHead(r))
      .flatMap((r) => r.cells.flatMap((c) => (/\p{L}{3}/u.test(c) && !needs(c) ? [marked(c, r.raw)] : [])))
    const sparing = words.some((w) => !w)
    const kept = rows.map(({ cells, lines: own, raw }) => ({
      cells: sparing
        ? cells.map((c) => (c && /\p{L}/u.test(c) && !needs(c) && marked(c, raw) ? `"${c}"` : c))
        : cells,
      lines: own,
      raw,
    }))
    if (!widthOf(kept.map((r) => r.cells))) return undefined
    return sign === ',' ? commaCut(kept, layout) : { layout, rows: kept }
  }

/** A comma between a digit and just three more may part columns or group one number. */
const THOUSANDS = /(?<!\d)\d{1,3}(?:,\d{3})+(?!\d)/g

/**
 * Rows cut at commas, where no comma groups a number. Where all rows of one width could be read so, or a row is too wide
 * by just these commas, the number is put together again and said to be unsure.
 */
function commaCut(
  rows: readonly { cells: string[]; lines: number[]; raw: string }[],
  layout: string,
): Cut | undefined {
  const bare = (raw: string): string => raw.replace(/"(?:[^"]|"")*"/g, (quoted) => ' '.repeat(quoted.length))
  const grouped = rows.map((r) => [...bare(r.raw).matchAll(THOUSANDS)])
  const body = rows.filter((r) => /\d/.test(r.raw))
  if (!grouped.some((g) => g.length)) return { layout, rows: [...rows] }
  const width = widthOf(rows.map((r) => r.cells))
  const even = rows.every((r) => r.cells.length === width)
  // Of one width, and not every row could be read otherwise: the commas part columns.
  if (even && grouped.filter((g) => g.length).length < body.length) return { layout, rows: [...rows] }
  const unsure = new Map<number, number[]>()
  const joined = rows.map((r, i) => {
    const whole = grouped[i]!.at(-1)?.[0]
    if (whole === undefined) return r
    const parts = whole.split(',')
    const at = r.cells.findIndex((_, c) =>
      parts.every(
        (p, k) => r.cells[c + k]?.trim().replace(/^.*\s/, '') === p || r.cells[c + k]?.trim() === p,
      ),
    )
    if (at < 0 || r.cells[at]!.trim() !== parts[0]) return r
    unsure.set(i, [Number(whole.replace(/,/g, '')), ...parts.slice(1).map(Number)])
    return { ...r, cells: [...r.cells.slice(0, at), whole, ...r.cells.slice(at + parts.length)] }
  })
  return widthOf(joined.map((r) => r.cells)) ? { layout, rows: joined, unsure } : undefined
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
  const first = labels.find((l) => roleOfLabel(l))
  const times = (label: string): number => labels.filter((l) => l === label).length
  // A label that nobody knows is one all the same where it comes back in each block.
  const known = [...new Set(labels)].filter(
    (l) => roleOfLabel(l) || (first && times(l) >= 2 && times(l) === times(first)),
  )
  if (!first || known.filter((l) => roleOfLabel(l)).length < 2 || times(first) < 2) return undefined
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

/** Ways in which a search is numbered at the beginning of its line; the number is the last group. */
const NUMBERED: readonly RegExp[] = [
  /^\s*(?:[-•*☐☑✓]\s*)?(\p{L}{1,8}[ .-]?)(\d{1,4})\s*[.):–—-]?\s+(?=\S)/u,
  /^\s*(?:[-•*☐☑✓]\s*)?(#|No\.?\s*)(\d{1,4})\s*[.):–—-]?\s+(?=\S)/u,
  /^\s*(?:[-•*☐☑✓]\s*)?()(\d{1,4})\s*[.):]\s*(?=\S)/u,
  /^\s*()(\d{1,4})(?:\t|[ \u00a0]+)(?=\S)/u,
]
const WHEN =
  /[\s(,;–—-]*((?:on |at )?(?:\d{4}-\d{2}-\d{2}|\d{1,2}\.\d{1,2}\.\d{4}|\d{1,2} \p{L}{3,9} \d{4})(?:[ T,]+\d{1,2}:\d{2}(?::\d{2})?(?: ?[ap]m)?)?)[)\s]*$/iu

interface Numbered {
  label: string
  rest: string
}

/** The lines that begin a search, in the way of numbering that fits most of them: by small steps, all up or all down. */
function numberedLines(lines: readonly string[]): ReadonlyMap<number, Numbered> {
  let best = new Map<number, Numbered>()
  for (const way of NUMBERED) {
    const words = new Map<string, Map<number, Numbered & { n: number }>>()
    lines.forEach((line, i) => {
      const m = way.exec(line)
      if (!m) return
      const word = m[1]!.trim().toLowerCase()
      const of = words.get(word) ?? new Map<number, Numbered & { n: number }>()
      words.set(word, of.set(i, { label: m[0].trim(), rest: line.slice(m[0].length), n: Number(m[2]) }))
    })
    for (const of of words.values()) {
      const kept = stepping(of)
      if (kept.size > best.size) best = kept
    }
  }
  return best
}

/** Of numbered lines those that follow each other: a text that goes on below may begin with a number too. */
function stepping(of: ReadonlyMap<number, Numbered & { n: number }>): Map<number, Numbered> {
  const all = [...of]
  const run = (sign: 1 | -1): Map<number, Numbered> => {
    const kept = new Map<number, Numbered>()
    let last: number | undefined
    for (const [i, one] of all) {
      const step = last === undefined ? 1 : (one.n - last) * sign
      if (one.n < 1 || step < 1 || step > 5) continue
      kept.set(i, one)
      last = one.n
    }
    return kept
  }
  const [up, down] = [run(1), run(-1)]
  return up.size >= down.size ? up : down
}

/** A list: a number before, the count behind with a sign, a word, brackets or a gap; other lines go on with the one above. */
const list: Cutter = (lines) => {
  const numbered = numberedLines(lines)
  const many = numbered.size >= 2
  const rows: Cut['rows'] = []
  const unsure = new Map<number, number[]>()
  let open = false
  lines.forEach((line, i) => {
    if (!filled(line)) {
      open = false
      return
    }
    const own = many ? numbered.get(i) : undefined
    const last = rows.at(-1)
    const limit = limitLine(line)
    if (limit !== undefined && last) {
      last.cells[4] = [last.cells[4], limit].filter(Boolean).join('; ')
      last.lines.push(i + 1)
      return
    }
    const whenAt = WHEN.exec(own?.rest ?? line)
    const before = (own?.rest ?? line).slice(0, whenAt?.index)
    const count = trailingCount(before)
    // A space alone sets a count apart only where searches are numbered, so that each line is one.
    const counted = count && (count.by !== 'space' || many) ? count : undefined
    const text = (counted ? before.slice(0, counted.end) : before).trim()
    const goesOn = !own && last && (many || open || /^\s/.test(line)) && !(last.cells[2] && counted)
    if (goesOn) {
      // The row above took for its count what was a word at the end of its line.
      last.cells[1] = `${last.cells[1]} ${text}`.trim()
      if (counted) {
        last.cells[2] = counted.text
        if (counted.or.length) unsure.set(rows.length - 1, [...counted.or])
      }
      last.cells[3] ||= whenAt?.[1] ?? ''
      last.lines.push(i + 1)
    } else {
      if (many && !own) return
      if (counted?.or.length)
        unsure.set(rows.length, [Number(counted.text.replace(/\D/g, '')), ...counted.or])
      rows.push({
        cells: [own?.label ?? '', text, counted?.text ?? '', whenAt?.[1] ?? '', ''],
        lines: [i + 1],
      })
    }
    open = !rows.at(-1)!.cells[2]
  })
  return rows.length
    ? { layout: 'a list', rows, unsure, roles: ['number', 'text', 'hits', 'when', 'limits'] }
    : undefined
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
  hits: /^(?:hits?|results?|records?|found|count|items|(?:hits|results|records|items) found|number of (?:hits|results|records))$/,
  when: /^(?:date|time|when|run|run at|run on|at|day|date and time)$/,
  limits: /^(?:limit(?:er)?s?|filters?|facets?|refinements?|restricted to|restrictions?)$/,
}

/** What a column is for, by the name at its head. */
export function roleOfLabel(label: string): Role | undefined {
  const name = label.trim().toLowerCase().replace(/:$/, '')
  return (Object.keys(LABELS) as Role[]).find((r) => LABELS[r].test(name))
}
