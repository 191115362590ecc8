import fc from 'fast-check'
import { expect, it } from 'vitest'
import { PROFILES } from '../../../standins/profiles'
import { printFor } from '../../profile'
import { parse, referredLines, type Expr } from '../../query'
import { anyExpression } from '../../query/expressions.arbitrary'
import { readHistory, recogniseHistory } from '.'

interface Past {
  number: number
  text: string
  hits: number
}
type Layout = (rows: readonly Past[], count: (n: number) => string) => string

const quoted = (text: string): string => `"${text.replace(/"/g, '""')}"`
const LAYOUTS: Record<string, Layout> = {
  'tabs with a head': (rows, count) =>
    ['No.\tQuery\tRecords', ...rows.map((r) => `${r.number}\t${r.text}\t${count(r.hits)}`)].join('\n'),
  'semicolons without a head, hits first': (rows, count) =>
    rows.map((r) => [quoted(count(r.hits)), quoted(r.text), `#${r.number}`].join(';')).join('\r\n'),
  'commas with a head': (rows, count) =>
    [
      '"hits","no.","search"',
      ...rows.map((r) => [count(r.hits), String(r.number), r.text].map(quoted).join(',')),
    ].join('\n'),
  'blocks with labels': (rows, count) =>
    rows.map((r) => `Line: ${r.number}\nSearch statement: ${r.text}\nResults: ${count(r.hits)}`).join('\n\n'),
  'one cell on each line': (rows, count) =>
    rows.map((r) => `${r.number}\n${r.text}\n${count(r.hits)}\nOpen\nShare`).join('\n'),
  'columns set apart by spaces': (rows, count) =>
    [
      'line   records    search',
      ...rows.map((r) => `${String(r.number).padEnd(7)}${count(r.hits).padEnd(11)}${r.text}`),
    ].join('\n'),
}
const COUNTS: ((n: number) => string)[] = [
  String,
  (n) => String(n).replace(/\B(?=(\d{3})+$)/g, ','),
  (n) => String(n).replace(/\B(?=(\d{3})+$)/g, '.'),
  (n) => String(n).replace(/\B(?=(\d{3})+$)/g, ' '),
]
const SPEAKS = [PROFILES.fernhollow!, PROFILES.mindmere!]

/** Does it refer to lines above only? */
const above = (e: Expr, number: number): boolean => referredLines(e).every((n) => n < number)

it.each(Object.keys(LAYOUTS))(
  'reads back any strategy that was laid out as %s, in either order, with any separator',
  (name) => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SPEAKS),
        fc.array(fc.tuple(anyExpression, fc.nat(99_999)), { minLength: 3, maxLength: 6 }),
        fc.boolean(),
        fc.constantFrom(...COUNTS),
        (profile, drawn, newestFirst, count) => {
          const said = drawn.map(([e, hits], i) => {
            const own = above(e, i + 1) ? e : parse('noise').tree!
            const { text } = printFor(own, profile)
            return { number: i + 1, text, hits }
          })
          // What is too long for one query is sent in rows; a history has one row a line.
          fc.pre(said.every((s) => !s.text.includes('\n') && s.text.length > 2 && /\p{L}/u.test(s.text)))
          // What comes back each time is a button.
          fc.pre(new Set(said.map((s) => s.text)).size === said.length)
          const rows = newestFirst ? [...said].reverse() : said
          const history = recogniseHistory(LAYOUTS[name]!(rows, count))
          const back = readHistory(history.rows, profile)
          expect(back.map((s) => s.hits)).toEqual(said.map((s) => s.hits))
          expect(back.map((s) => s.row.text)).toEqual(said.map((s) => s.text))
          back.forEach((s, i) => {
            // What was read says there the same again.
            if (s.described === undefined)
              expect(printFor(parse(s.text).tree!, profile).text).toBe(said[i]!.text)
          })
        },
      ),
      { numRuns: 200 },
    )
  },
)
