import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../../standins/profiles'
import { printFor } from '../../profile'
import { parse, referredLines } from '../../query'
import { anyExpression } from '../../query/expressions.arbitrary'
import { readHistory, recogniseHistory, type HistoryRow } from '.'
import { trials } from '../../base/trials.fixture'

const rows = (text: string): HistoryRow[] => recogniseHistory(text).rows
const brief = (text: string) => rows(text).map((r) => [r.number, r.text, r.hits])

describe('a pasted history never gives a wrong number without a word', () => {
  it.each([
    [
      'Set 1: noise~ - 1,204\nSet 2: pupil~ - 35,870',
      [
        [1, 'noise~', 1204],
        [2, 'pupil~', 35870],
      ],
    ],
    [
      '1. noise*, sound* 1,204\n2. pupil*, child* 35,870',
      [
        [1, 'noise*, sound*', 1204],
        [2, 'pupil*, child*', 35870],
      ],
    ],
    [
      'row1 noise~ 1,204\nrow2 pupil~ 35,870\nrow3 row1 and row2 318',
      [
        [1, 'noise~', 1204],
        [2, 'pupil~', 35870],
        [3, 'row1 and row2', 318],
      ],
    ],
    [
      '#1 noise* 1204\n#2 pupil* 35870',
      [
        [1, 'noise*', 1204],
        [2, 'pupil*', 35870],
      ],
    ],
    [
      '1  topic:(noise or\n   hum+)           4,812\n2  subj:"Listening"   1,204\n3  line 1 and\n   line 2            318',
      [
        [1, 'topic:(noise or hum+)', 4812],
        [2, 'subj:"Listening"', 1204],
        [3, 'line 1 and line 2', 318],
      ],
    ],
    [
      'Query,Items found\n"noise~ or x","1,204"\n"pupil~","870"',
      [
        [undefined, 'noise~ or x', 1204],
        [undefined, 'pupil~', 870],
      ],
    ],
    [
      'No;Query;Hits\n1;noise~ or x;"1,204"\n2;"sound field";"870"',
      [
        [1, 'noise~ or x', 1204],
        [2, '"sound field"', 870],
      ],
    ],
  ])('%s', (text, said) => {
    expect(brief(text)).toEqual(said)
  })

  it('takes a line that says limits as limits of the search above it', () => {
    const read = rows('1\tnoise\t1204\nLimited to: 2015-2025; peer reviewed\n2\tpupil\t35870')
    expect(read.map((r) => [r.text, r.limits])).toEqual([
      ['noise', '2015-2025; peer reviewed'],
      ['pupil', ''],
    ])
  })

  it('takes limits for limits where no head names them', () => {
    const [first, second] = rows('1\tnoise\tEnglish\t2015-2025\t1204\n2\tpupil\tGerman\t2016-2025\t870')
    expect([first!.text, first!.limits]).toEqual(['noise', 'English'])
    expect(second!.others.map((o) => o.text)).toEqual(['2016-2025'])
  })

  it('says how many lines are too many, and reads none of them', () => {
    const text = Array.from({ length: 12 }, (_, n) => `${n + 1},noise,${n}`).join('\n')
    expect(recogniseHistory(text, { most: 12 }).rows).toHaveLength(12)
    expect(recogniseHistory(text, { most: 11 })).toMatchObject({
      rows: [],
      problems: [
        { message: expect.stringMatching(/^This has 12 lines; a history of up to 11 is read/) as string },
      ],
    })
  })

  it('names the lines of the paste that a search was made of, those in quotes too', () => {
    const text = '1,"noise\nin rooms",20\n\n2,echo,30\n3,"a\nb\nc",40'
    expect(recogniseHistory(text).rows.map((r) => r.lines)).toEqual([[1, 2], [4], [5, 6, 7]])
  })

  it('shows a column that nobody knows, with its head', () => {
    const [first] = rows('No.\tQuery\tColour\tHits\n1\tnoise\tblue\t1204\n2\tpupil\tred\t870')
    expect(first!.others).toEqual([{ head: 'Colour', text: 'blue' }])
    expect(first!.hits).toBe(1204)
  })

  it('asks for a number whose grouping is not sure, and gives none until it is said', () => {
    const [first] = rows('noise~,1,204\npupil~,35,870')
    expect([first!.hits, first!.unsure]).toEqual([undefined, [1204, 204]])
    const { problems } = recogniseHistory('noise~,1,204\npupil~,35,870')
    expect(problems.map((p) => p.code)).toContain('count-unsure')
    const [spaced] = rows('1. noise 1 204\n2. pupil 35 870')
    expect([spaced!.hits, spaced!.unsure]).toEqual([undefined, [1204, 204]])
  })
})

interface Past {
  number: number
  text: string
  hits: number
}

const GROUPINGS: ((n: number) => string)[] = [
  String,
  (n) => String(n).replace(/\B(?=(\d{3})+$)/g, ','),
  (n) => String(n).replace(/\B(?=(\d{3})+$)/g, '.'),
  (n) => String(n).replace(/\B(?=(\d{3})+$)/g, ' '),
  (n) => String(n).replace(/\B(?=(\d{3})+$)/g, '\u00a0'),
  (n) => String(n).replace(/\B(?=(\d{3})+$)/g, "'"),
]
const LABELS: ((n: number) => string)[] = [
  (n) => `Set ${n}:`,
  (n) => `S${n}`,
  (n) => `#${n}`,
  (n) => `${n}.`,
  (n) => `L${n}`,
  (n) => `row${n}`,
  (n) => `${n})`,
  (n) => `${n} `,
]
const COUNTS: ((c: string) => string)[] = [
  (c) => ` - ${c}`,
  (c) => ` ${c}`,
  (c) => `    ${c}`,
  (c) => ` (${c})`,
  (c) => ` → ${c}`,
  (c) => ` = ${c} records`,
  (c) => `, ${c} hits`,
  (c) => ` [n = ${c}]`,
]
const SEPARATORS = ['\t', ',', ';', ' | ', '   ']
const HEADS = {
  number: ['No.', 'Line', '#'],
  text: ['Query', 'Search', 'Terms'],
  hits: ['Hits', 'Items found', 'Results'],
}
const quote = (cell: string): string => `"${cell.replace(/"/g, '""')}"`
/** Breaks a text at a space, as a narrow page does. */
const wrapped = (text: string, at: number): string => {
  const spaces = [...text.matchAll(/ /g)].map((m) => m.index)
  const place = spaces[at % Math.max(1, spaces.length)]
  return place === undefined ? text : `${text.slice(0, place)}\n      ${text.slice(place + 1)}`
}

const lists = fc
  .record({
    label: fc.constantFrom(...LABELS),
    count: fc.constantFrom(...COUNTS),
    wrap: fc.option(fc.nat(9)),
  })
  .map(
    ({ label, count, wrap }) =>
      (past: readonly Past[], group: (n: number) => string) =>
        past
          .map(
            (p) =>
              `${label(p.number)} ${wrap === null ? p.text : wrapped(p.text, wrap)}${count(group(p.hits))}`,
          )
          .join('\n'),
  )
const tables = fc
  .record({
    order: fc.shuffledSubarray(['number', 'text', 'hits'] as const, { minLength: 3 }),
    separator: fc.constantFrom(...SEPARATORS),
    head: fc.boolean(),
    quoteAll: fc.boolean(),
    head2: fc.nat(2),
  })
  .map(
    ({ order, separator, head, quoteAll, head2 }) =>
      (past: readonly Past[], group: (n: number) => string) => {
        const cell = (text: string): string =>
          (separator === ',' || separator === ';') && (quoteAll || /[",;\n]/.test(text)) ? quote(text) : text
        const line = (cells: readonly string[]): string =>
          separator === ' | ' ? `| ${cells.join(separator)} |` : cells.map(cell).join(separator)
        const body = past.map((p) =>
          line(order.map((c) => (c === 'number' ? String(p.number) : c === 'hits' ? group(p.hits) : p.text))),
        )
        return [...(head ? [line(order.map((c) => HEADS[c][head2]!))] : []), ...body].join('\n')
      },
  )

it('reads back any strategy in any such layout, or marks what is unsure; never wrong without a word', () => {
  const counts = { read: 0, unsure: 0, refused: 0 }
  fc.assert(
    fc.property(
      fc.constantFrom(PROFILES.fernhollow!, PROFILES.mindmere!),
      fc.array(fc.tuple(anyExpression, fc.nat(99_999)), { minLength: 3, maxLength: 6 }),
      fc.oneof(lists, tables),
      fc.constantFrom(...GROUPINGS),
      (profile, drawn, layout, group) => {
        const said = drawn.map(([e, hits], i): Past => {
          const own = referredLines(e).every((n) => n < i + 1) ? e : parse(`noise AND w${i}`).tree!
          return { number: i + 1, text: printFor(own, profile).text, hits }
        })
        fc.pre(said.every((s) => !s.text.includes('\n') && s.text.length > 2 && /\p{L}/u.test(s.text)))
        fc.pre(new Set(said.map((s) => s.text)).size === said.length)
        const text = layout(said, group)
        const history = recogniseHistory(text)
        if (!history.rows.length) {
          counts.refused++
          return
        }
        const warned = history.problems.some((p) =>
          ['left-over', 'count-unsure', 'no-count'].includes(p.code),
        )
        const right = (r: HistoryRow): boolean =>
          said.some((s) => s.number === r.number && s.text === r.text && s.hits === r.hits)
        const wrong = history.rows.filter(
          (r) => !right(r) && !r.unsure.length && !r.rest && r.hits !== undefined,
        )
        const lost = history.rows.length + history.unread.length < said.length
        // A search with a wrong number or text is only ever given with a word to look at it.
        if (!warned && !history.unread.length) {
          expect({ text, wrong }).toEqual({ text, wrong: [] })
          expect(lost).toBe(false)
          counts.read++
          // And what is read says there the same again.
          for (const s of readHistory(history.rows, profile))
            if (s.described === undefined)
              expect(printFor(parse(s.text).tree!, profile).text).toBe(s.row.text)
        } else counts.unsure++
      },
    ),
    { numRuns: trials(1500, 3000) },
  )
  // Most layouts are read outright; a check that marks everything as unsure would say nothing.
  expect(counts.read).toBeGreaterThan(trials(1000, 2000))
})
