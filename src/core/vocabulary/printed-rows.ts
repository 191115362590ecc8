import type { Problem } from '../base'
import { problem, plural } from '../base'

/** Steps that a sign like NT3 may name: more are a slip. */
const DEEPEST = 99

/** The signs of a printed thesaurus (ISO 25964-1): what a line below a term says of it. */
const SIGNS = {
  USE: 'use',
  U: 'use',
  UF: 'entry term',
  SN: 'scope note',
  HN: 'since',
  DI: 'since',
  BT: 'broader',
  NT: 'narrower',
  RT: 'related',
  TT: 'top',
  CC: 'code',
  NC: 'code',
} as const
export type Sign = (typeof SIGNS)[keyof typeof SIGNS]

/** The same signs where they are written out. */
const WRITTEN_OUT: readonly [RegExp, Sign][] = [
  [/^use(?: term)?\s*:\s*(.+)$/i, 'use'],
  [/^used (?:for|instead of)\s*:\s*(.+)$/i, 'entry term'],
  [/^scope notes?\s*:\s*(.+)$/i, 'scope note'],
  [/^broader(?: terms?| headings?)?\s*:\s*(.+)$/i, 'broader'],
  [/^narrower(?: terms?| headings?)?\s*:\s*(.+)$/i, 'narrower'],
  [/^related(?: terms?| headings?)?\s*:\s*(.+)$/i, 'related'],
  [/^top(?: terms?| headings?)?\s*:\s*(.+)$/i, 'top'],
]
const SIGNED = /^(USE|UF|SN|HN|DI|BT|NT|RT|TT|CC|NC|U)\d*\s*(?::|\s)\s*(.+)$/

export interface Row {
  number: number
  indent: number
  /** Where the text behind a sign begins: a row below that begins there too goes on with the same sign. */
  column: number
  sign?: Sign
  /** How deep "NT2" says that its heading stands: 1 where no number is given. */
  depth: number
  text: string
}

const widthOf = (space: string): number => [...space].reduce((n, c) => n + (c === '\t' ? 4 : 1), 0)

/** The rows of a list as they are printed, one after another; empty ones are passed over. */
export function rowsOf(text: string): Row[] {
  return text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n/)
    .flatMap((raw, i): Row[] => {
      // A mark of byte order inside is where two files were put together.
      const line = raw.replaceAll('\uFEFF', '')
      const body = line.trim().replace(/\s+/g, ' ')
      if (!body) return []
      const indent = widthOf(/^[ \t]*/.exec(line)![0])
      const base = { number: i + 1, indent, column: indent }
      const signed = SIGNED.exec(body)
      if (signed) {
        const lead = /^[ \t]*[A-Z]+\d*\s*:?[ \t]*/.exec(line)![0]
        return [
          {
            ...base,
            column: widthOf(lead),
            sign: SIGNS[signed[1] as keyof typeof SIGNS],
            depth: Math.min(Number(/^[A-Z]+(\d+)/.exec(body)?.[1] ?? 1), DEEPEST),
            text: signed[2]!,
          },
        ]
      }
      for (const [pattern, sign] of WRITTEN_OUT) {
        const found = pattern.exec(body)
        if (found)
          return [
            { ...base, column: indent + body.length - found[1]!.length, sign, depth: 1, text: found[1]! },
          ]
      }
      return [{ ...base, depth: 1, text: body }]
    })
}

/**
 * Rows of a signed list as they are meant: heads and numbers of pages are left out and named, "Din USE Noise" on one row is two,
 * a year behind a term says since when it is used, and what is wrapped goes on where it began. A row that begins where the text
 * of the row above does is another entry under the same sign if it begins with a capital, and the rest of that one if not.
 */
export function printedRows(rows: readonly Row[], problems: Problem[]): Row[] {
  const kept = withoutPages(rows, problems)
  const made: Row[] = []
  const margin = Math.min(...kept.filter((r) => !r.sign).map((r) => r.indent))
  for (const row of kept) {
    const above = made[made.length - 1]
    if (!row.sign && above?.sign && row.indent > margin) {
      const another = above.sign !== 'scope note' && row.indent <= above.column && /^\p{Lu}/u.test(row.text)
      if (another) made.push({ ...row, sign: above.sign, depth: above.depth, column: above.column })
      else above.text = `${above.text.replace(/(\p{L})-$/u, '$1-')} ${row.text}`
      continue
    }
    if (row.sign) {
      made.push({ ...row })
      continue
    }
    const use = /^(.+?)\s+USE:?\s+(.+)$/.exec(row.text)
    const [term, since] = withYear(use ? use[1]! : row.text)
    made.push({ ...row, text: term })
    if (since) made.push({ ...row, sign: 'since', text: since })
    if (use) made.push({ ...row, sign: 'use', text: use[2]! })
  }
  return made
}

/** A term and the year in brackets behind it: since when it has been used. */
function withYear(text: string): [string, string | undefined] {
  const found = /^(.*\S)\s*[([](?:since |from )?(1[89]\d\d|20\d\d)[)\]]$/i.exec(text)
  return found ? [found[1]!, found[2]!] : [text, undefined]
}

/** Rows without the heads and numbers of pages: what stands at the margin twice and more with nothing said below it. */
function withoutPages(rows: readonly Row[], problems: Problem[]): Row[] {
  const bare = (r: Row): string => r.text.replace(/\d+/g, '').trim().toLowerCase()
  const times = new Map<string, number>()
  rows.forEach((r, i) => {
    if (!r.sign && !rows[i + 1]?.sign) times.set(bare(r), (times.get(bare(r)) ?? 0) + 1)
  })
  const heads = rows.filter(
    (r, i) =>
      !r.sign &&
      !rows[i + 1]?.sign &&
      (/^(?:[-–—]\s*)?(?:page\s+)?\d+(?:\s+of\s+\d+)?(?:\s*[-–—])?$/i.test(r.text) ||
        /\bpage \d+\b/i.test(r.text) ||
        (times.get(bare(r)) ?? 0) > 1),
  )
  if (heads.length)
    problems.push(
      problem(
        'list-pages',
        'warning',
        `${plural(heads.length, 'row')} taken for heads and numbers of pages and left out: ${[...new Set(heads.map((r) => r.text))].slice(0, 4).join('; ')}.`,
        `line ${heads[0]!.number}`,
      ),
    )
  return rows.filter((r) => !heads.includes(r))
}
