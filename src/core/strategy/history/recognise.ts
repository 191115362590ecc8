import { plural, problem, thousands, type Problem } from '../../base'
import { cleaned, dayOrderOf, readCount, readLineNumber, readWhen, type DayOrder } from './cells'
import { isLimitWords, limitLine } from './counts'
import { CUTTERS, roleOfLabel, type Cut, type Role } from './cut'
import { restOf } from './rest'

/** One search of a history, as it stood there. */
export interface HistoryRow {
  /** Its own number there; undefined where none was given. */
  number: number | undefined
  text: string
  hits: number | undefined
  /** "2026-03-12" or "2026-03-12T14:05", without a zone. */
  when: string | undefined
  /** How the day was written there. */
  day: string
  /** What stood in a column of its own for limits. */
  limits: string
  /** What stood in columns that nobody knows, with their heads; shown beside the search. */
  others: { head: string; text: string }[]
  /** Words and numbers of its lines that went into none of its parts. */
  rest: string
  /** The counts that may be meant, where the grouping of the number is not sure: then `hits` is open until it is said. */
  unsure: number[]
  /** The lines of the paste it was made of, from 1. */
  lines: number[]
  /** What it means in plain notation, as a person put it right; its text stays what was sent. */
  reading?: string | undefined
}

/** What helps to read days like "03/12/2026". */
export interface DayHints {
  /** How they are meant; asked only where they do not tell. */
  order?: DayOrder | undefined
  /** The day of the reading, "2026-11-25": no search was run after it. */
  today?: string | undefined
}

export interface History {
  /** How the paste is laid out, in words. */
  layout: string
  /** The oldest search first. */
  rows: HistoryRow[]
  /** Did the newest search stand first? Undefined where nothing told. */
  newestFirst: boolean | undefined
  /** How its days are written, where that can mean two days: then the rows have none until the order is said. */
  dayOrder: DayOrder | 'unclear' | undefined
  /** Lines of the paste that belong to no search: heads, buttons, page numbers. Kept to be shown. */
  unread: { line: number; text: string }[]
  problems: Problem[]
}

const tooLong = (lines: number, most: number): History => ({
  layout: '',
  rows: [],
  newestFirst: undefined,
  dayOrder: undefined,
  unread: [],
  problems: [
    problem(
      'history-long',
      'error',
      `This has ${thousands(lines)} lines; a history of up to ${thousands(most)} is read here. Paste the part that belongs to this search.`,
    ),
  ],
})

/**
 * Recognises a history that was pasted or saved: tables with signs, strokes or spaces, blocks with labels, lists, one
 * cell a line; columns in any order, the newest search first or last. Every way of cutting is tried; the one that
 * explains most of the lines is taken. Nothing that can be recognised, or more than `most` lines: no rows, and a problem that
 * says what helps.
 */
export function recogniseHistory(
  pasted: string,
  { order, today, most = Infinity }: DayHints & { most?: number } = {},
): History {
  const lines = cleaned(pasted).split('\n')
  const filled = lines.flatMap((text, i) => (text.trim() ? [i + 1] : []))
  if (filled.length > most) return tooLong(filled.length, most)
  const told = lines.map((line) => (ROUND.test(line) ? '' : line))
  const toldLines = told.filter((line) => line.trim()).length
  const tried = CUTTERS.flatMap((cutter) => {
    const cut = cutter(told)
    const read = cut && rowsOf(cut, { order, today })
    const aside = (cut?.aside?.length ?? 0) + (cut ? headsOf(cut).length : 0)
    if (!cut || !read) return []
    const rows = read.rows.map((row) => withRest(row, told))
    return [{ layout: cut.layout, ...read, rows, score: scoreOf(rows, toldLines - aside) }]
  })
  const best = tried.reduce<(typeof tried)[number] | undefined>(
    (a, b) => (a && a.score >= b.score ? a : b),
    undefined,
  )
  if (!best?.rows.length)
    return {
      layout: '',
      rows: [],
      newestFirst: undefined,
      dayOrder: undefined,
      unread: filled.map((line) => ({ line, text: lines[line - 1]! })),
      problems: [
        problem(
          'no-history',
          'error',
          'No searches were recognised in this. A line needs its text and a number or a count; copy the whole table, with its columns.',
        ),
      ],
    }
  const { rows, newestFirst } = inOrder(best.rows)
  const used = new Set(rows.flatMap((r) => r.lines))
  const { dayOrder } = best
  return {
    layout: best.layout,
    rows,
    newestFirst,
    dayOrder,
    unread: filled.filter((n) => !used.has(n)).map((line) => ({ line, text: lines[line - 1]!.trim() })),
    problems: [
      ...problemsOf(rows),
      ...(dayOrder === 'unclear' && !order ? [unclearDay(rows.find((r) => r.day)!.day)] : []),
    ],
  }
}

const unclearDay = (day: string): Problem =>
  problem(
    'day-unclear',
    'warning',
    `A day like ${day} can be read in two ways: say whether the day or the month stands first.`,
  )

/** The row with what of its lines has no place in it: whatever way of cutting made it, nothing vanishes. */
function withRest(row: ReadRow, lines: readonly string[]): HistoryRow {
  const { label, count, ...kept } = row
  const parts = [
    label,
    row.text,
    count,
    row.day,
    row.limits,
    ...row.others.flatMap((o) => [o.head, o.text]),
    ...row.heads,
  ]
  const { heads: _, ...own } = kept
  const rest = restOf(
    row.lines.map((n) => lines[n - 1]!),
    parts,
  )
  return { ...own, rest: rest.filter((piece) => !LAYOUT_WORDS.test(piece)).join(' ') }
}
/** What stands about a count or a day and says nothing more. */
const LAYOUT_WORDS =
  /^(?:n|on|at|hits?|results?|records?|items?|documents?|references?|found|limit(?:ed|s)?|restricted|refined|filters?|filtered|applied|to|by)$/i

/** A row as it was cut, with what stood for its number and its count, and the names of its fields where they stand in it. */
type ReadRow = Omit<HistoryRow, 'rest'> & { label: string; count: string; heads: readonly string[] }

/** Which share of the pasted lines ends up in a search; a number and a count make a way of cutting more likely. */
function scoreOf(rows: readonly HistoryRow[], lines: number): number {
  const whole = rows.filter((r) => r.text && (r.number !== undefined || r.hits !== undefined))
  const covered = whole.reduce((n, r) => n + r.lines.length, 0)
  const share = (has: (r: HistoryRow) => boolean): number =>
    rows.filter(has).length / Math.max(1, rows.length)
  return (
    covered / Math.max(1, lines) -
    // A way that leaves words without a place, or a bracket open in the middle, is a worse one.
    0.5 * share((r) => r.rest !== '') -
    0.3 * share((r) => !balanced(r.text)) +
    0.3 * share((r) => r.number !== undefined) +
    0.3 * share((r) => r.hits !== undefined || r.unsure.length > 0) +
    0.1 * share((r) => r.when !== undefined)
  )
}

const balanced = (text: string): boolean => {
  const of = (sign: RegExp): number => text.match(sign)?.length ?? 0
  return of(/\(/g) === of(/\)/g) && of(/"/g) % 2 === 0
}

/** Rows that name the columns; a page that was long repeats them. */
const headsOf = (cut: Cut): Cut['rows'] =>
  cut.rows.filter((r) => r.cells.filter((c) => roleOfLabel(c)).length >= 2)

function rowsOf(cut: Cut, hints: DayHints): { rows: ReadRow[]; dayOrder: History['dayOrder'] } | undefined {
  const heads = headsOf(cut)
  const head = heads[0]
  const isHead = (cells: readonly string[]): boolean =>
    heads.some((h) => h.cells.length === cells.length && h.cells.every((c, i) => c === cells[i]))
  const body = cut.rows.flatMap((r, i) =>
    isHead(r.cells) ? [] : [{ ...r, unsure: cut.unsure?.get(i) ?? [] }],
  )
  if (!body.length) return undefined
  const wide = body.filter((r) => r.cells.filter((c) => c.trim()).length > 1)
  const roles =
    cut.roles ??
    rolesOf(
      // Lines that go on with a text say nothing of the columns.
      (wide.length ? wide : body).map((r) => r.cells),
      head?.cells ?? [],
    )
  const at = (role: Role): number => roles.indexOf(role)
  // Without a head and a sign, a column of small counts that rise can pass for the numbers of the lines.
  const named = (['number', 'hits'] as const).some(
    (r) => at(r) >= 0 && roleOfLabel(head?.cells[at(r)] ?? '') === r,
  )
  const cellsOf = (r: Role): string[] => wide.map((w) => w.cells[at(r)] ?? '')
  const alike =
    !cut.roles &&
    !named &&
    at('number') >= 0 &&
    at('hits') >= 0 &&
    cellsOf('number').every((c) => !c.trim() || /^\d/.test(c.trim())) &&
    (countsLines(cellsOf('hits')) || (mayNumber(cellsOf('hits')) && !countsLines(cellsOf('number'))))
  if (at('text') < 0 || (at('number') < 0 && at('hits') < 0)) return undefined
  const days = at('when') < 0 ? [] : body.map((r) => r.cells[at('when')]?.trim() ?? '')
  const dayOrder = dayOrderOf(days, hints.today)
  const order = dayOrder === 'unclear' ? hints.order : dayOrder
  const rows: ReadRow[] = []
  for (const { cells, lines, unsure } of body) {
    const cell = (role: Role): string => (at(role) < 0 ? '' : (cells[at(role)] ?? '').trim())
    const texts = cells.filter((c) => c.trim())
    const last = rows[rows.length - 1]
    const number = readLineNumber(cell('number'))
    const hits = readCount(cell('hits'))
    const [only = ''] = texts
    // A row of one cell that is no button goes on with the text above, or says its limits.
    const wrapped = texts.length === 1 && number === undefined && hits === undefined && last
    const limit = limitLine(only)
    if (
      last &&
      texts.length <= 2 &&
      number === undefined &&
      hits === undefined &&
      limitLine(texts.join(' '))
    ) {
      last.limits = [last.limits, limitLine(texts.join(' '))].filter(Boolean).join('; ')
      last.lines.push(...lines)
      continue
    }
    if (wrapped && limit === undefined && (cells.length === 1 || cells[at('text')]?.trim())) {
      last.text = `${last.text} ${only.trim()}`
      last.lines.push(...lines)
      continue
    }
    const text = cell('text')
    if (!text || (number === undefined && hits === undefined)) continue
    const day = cell('when')
    const others = cells.flatMap((c, i) =>
      c.trim() && !roles[i] ? [{ head: (head?.cells[i] ?? '').trim(), text: c.trim() }] : [],
    )
    // What a count or a number could not be read from is kept to be seen.
    for (const role of ['hits', 'number'] as const)
      if (cell(role) && (role === 'hits' ? hits : number) === undefined)
        others.push({ head: head?.cells[at(role)]?.trim() ?? '', text: cell(role) })
    rows.push({
      number,
      text,
      hits: unsure.length || alike ? undefined : hits,
      when: readWhen(day, order),
      day,
      limits: cell('limits'),
      others,
      unsure: [
        ...new Set([
          ...((unsure.length || alike) && hits !== undefined ? [hits] : []),
          ...(alike && number !== undefined ? [number] : []),
          ...unsure,
        ]),
      ],
      lines: [...lines],
      label: cell('number'),
      count: cell('hits'),
      // In blocks the names of the fields stand in the lines themselves.
      heads: head && !head.lines.length ? head.cells : [],
    })
  }
  return { rows, dayOrder }
}

/** What pages print round a table. Whole lines only: a search may begin with any of these words. */
const ROUND =
  /^\s*(?:page \d+(?: of \d+)?|\d+ of \d+|\d+\s*[-–]\s*\d+ of \d+|showing .{1,40}|(?:select|clear|delete|print|save|export)(?: (?:all|selected|history|searches))?|my searches|search history)\s*$/i

/** A role for each column: by its head where it has one, else by what stands in it. */
function rolesOf(rows: readonly (readonly string[])[], head: readonly string[]): (Role | undefined)[] {
  const width = Math.max(...rows.map((r) => r.length), head.length)
  const roles: (Role | undefined)[] = Array.from({ length: width }, (_, c) => roleOfLabel(head[c] ?? ''))
  roles.forEach((role, c) => {
    if (role && roles.indexOf(role) < c) roles[c] = undefined
  })
  const column = (c: number): string[] => rows.map((r) => r[c]?.trim() ?? '').filter(Boolean)
  // A name at the head that what stands below belies: "search" over 1, 2, 3 is the number.
  roles.forEach((role, c) => {
    const numeric = column(c).length > 0 && column(c).every((t) => readLineNumber(t) !== undefined)
    if ((role === 'text') === numeric && (role === 'text' || role === 'number')) roles[c] = undefined
  })
  const open = (): number[] => roles.flatMap((r, c) => (r ? [] : [c]))
  const share = (c: number, test: (text: string) => boolean): number =>
    column(c).filter(test).length / Math.max(1, column(c).length)
  const give = (role: Role, c: number | undefined): void => {
    if (c !== undefined && !roles.includes(role)) roles[c] = role
  }
  const best = (worth: (c: number) => number, least: number): number | undefined =>
    open()
      .map((c) => ({ c, w: worth(c) }))
      .filter((x) => x.w >= least)
      .sort((a, b) => b.w - a.w || a.c - b.c)[0]?.c
  give(
    'number',
    best((c) => {
      const numbers = column(c).map(readLineNumber)
      // A sign before the number tells it from a count; a query that is but a reference must not pass for one.
      const signed = numbers.every((n) => n !== undefined) && column(c).some((t) => /^\D/.test(t))
      return stepwise(numbers) + (signed ? 0.5 : 0) + (countsLines(column(c)) ? 0.4 : 0)
    }, 0.7),
  )
  give(
    'when',
    best(
      (c) =>
        share(c, (t) => readWhen(t, 'day first') !== undefined || readWhen(t, 'month first') !== undefined),
      0.6,
    ),
  )
  give(
    'limits',
    // Limits without a head over them are limits all the same.
    best((c) => (column(c).length ? share(c, isLimitWords) : 0), 0.9),
  )
  give(
    'hits',
    best((c) => share(c, (t) => readCount(t) !== undefined), 0.5),
  )
  const letters = (c: number): number => {
    const cells = column(c)
    return cells.join('').replace(/[^\p{L}]/gu, '').length / Math.max(1, cells.length)
  }
  // What is the same in every row is a button rather than a search.
  const varied = (c: number): number =>
    column(c).length > 2 && new Set(column(c)).size === 1 ? 0 : letters(c)
  give('text', best(varied, 1) ?? best(letters, 1))
  return roles
}

/** Bare numbers, no sign before them; undefined for what is none. */
const bareNumbers = (cells: readonly string[]): (number | undefined)[] =>
  cells.map((c) => (/^\d/.test(c.trim()) ? readLineNumber(c) : undefined))

/** Are these the numbers of lines and nothing else: 1, 2, 3 …, or the same from the end? */
function countsLines(cells: readonly string[]): boolean {
  const numbers = bareNumbers(cells)
  const steps = numbers.slice(1).map((n, i) => (n ?? NaN) - (numbers[i] ?? NaN))
  return (
    numbers.includes(1) && steps.length > 0 && (steps.every((d) => d === 1) || steps.every((d) => d === -1))
  )
}

/** Could these be the numbers of lines: each the next by a small step? */
function mayNumber(cells: readonly string[]): boolean {
  const numbers = bareNumbers(cells)
  const steps = numbers.slice(1).map((n, i) => (n ?? NaN) - (numbers[i] ?? NaN))
  return steps.length > 0 && (steps.every((d) => d > 0 && d <= 5) || steps.every((d) => d < 0 && d >= -5))
}

/** How much a column looks like line numbers: the share of small steps, all up or all down. */
function stepwise(numbers: readonly (number | undefined)[]): number {
  const given = numbers.filter((n) => n !== undefined)
  if (given.length < 2 || given.length < numbers.length * 0.6)
    return given.length === 1 && given[0] === 1 ? 0.7 : 0
  const steps = given.slice(1).map((n, i) => n - given[i]!)
  const small = (sign: 1 | -1): number => steps.filter((d) => d * sign >= 0 && d * sign <= 5).length
  return steps.every((d) => d === 0) ? 0 : Math.max(small(1), small(-1)) / steps.length
}

function inOrder(rows: readonly HistoryRow[]): { rows: HistoryRow[]; newestFirst: boolean | undefined } {
  const numbers = rows.flatMap((r) => r.number ?? [])
  if (numbers.length > 1 && numbers.length >= rows.length * 0.6) {
    const newestFirst = numbers[0]! > numbers[numbers.length - 1]!
    const turned = newestFirst ? [...rows].reverse() : [...rows]
    return { rows: turned.sort((a, b) => (a.number ?? 0) - (b.number ?? 0)), newestFirst }
  }
  const days = rows.flatMap((r) => r.when ?? [])
  const [first] = days
  const last = days[days.length - 1]
  if (first && last && first !== last)
    return { rows: first > last ? [...rows].reverse() : [...rows], newestFirst: first > last }
  return { rows: [...rows], newestFirst: undefined }
}

function problemsOf(rows: readonly HistoryRow[]): Problem[] {
  const problems: Problem[] = []
  const seen = new Set<number>()
  for (const { number } of rows) {
    if (number !== undefined && seen.has(number))
      problems.push(
        problem(
          'number-twice',
          'warning',
          `There are two lines ${number}; references to it mean the first.`,
          `line ${number}`,
        ),
      )
    if (number !== undefined) seen.add(number)
  }
  const asked = rows.filter((r) => r.unsure.length)
  if (asked.length)
    problems.push(
      problem(
        'count-unsure',
        'warning',
        `${plural(asked.length, 'count')} can be read in two ways: say which is meant.`,
      ),
    )
  const odd = rows.filter((r) => r.rest)
  if (odd.length)
    problems.push(
      problem(
        'left-over',
        'warning',
        `${plural(odd.length, 'search has', 'searches have')} something beside ${odd.length === 1 ? 'it' : 'them'} that is in none of the columns: look at ${odd.length === 1 ? 'it' : 'them'}.`,
      ),
    )
  const uncounted = rows.filter((r) => r.hits === undefined && !r.unsure.length).length
  if (uncounted)
    problems.push(
      problem(
        'no-count',
        'warning',
        `${plural(uncounted, 'search has', 'searches have')} no exact count: type it in, or leave it open.`,
      ),
    )
  return problems
}
