import Papa from 'papaparse'
import { GENERATOR } from '../core/account'
import { plainJson } from '../core/base'
import type { Entry } from '../core/review'

/** The first version of what writes files that knew a form of the journal; forms before are as old as the writers. */
const FIRST_WRITER: Readonly<Record<number, number>> = { 7: 5 }

/** What is wrong with the version that a package names for what made its files; undefined where nothing is. */
export function versionFault(named: string, entries: readonly Entry[]): string | undefined {
  const version = Number(named)
  if (!Number.isInteger(version) || version < 1 || version > GENERATOR)
    return `They name version ${named} of what writes them, which there is not.`
  const form = entries.at(-1)?.v ?? 0
  const first = FIRST_WRITER[form] ?? 1
  return version < first
    ? `They name version ${named} of what writes them, which is older than the form of the journal (${form}).`
    : undefined
}

/** Files whose values do not hang on wording. */
const BY_VALUE: ReadonlySet<string> = new Set([
  'data/records/works.csv',
  'data/selection/rulings.csv',
  'data/records/works.json',
])
/** Columns that are words about values. */
const WORDED = /reason|how|place|why|note|verdict/i

type Row = Record<string, unknown>
function rowsOf(name: string, bytes: Uint8Array): Row[] {
  const text = new TextDecoder().decode(bytes).replace(/^\uFEFF/, '')
  if (name.endsWith('.json')) return JSON.parse(text) as Row[]
  return Papa.parse<Row>(text, { header: true, skipEmptyLines: true }).data
}

/** Values that are others in a file than in the same made again, in what both have: columns may be added by a version. */
export function valueFaults(
  name: string,
  own: Uint8Array | undefined,
  now: Uint8Array | undefined,
): string[] {
  if (!BY_VALUE.has(name) || !own || !now) return []
  const [was, is] = [rowsOf(name, own), rowsOf(name, now)]
  const where = name.slice('data/'.length)
  if (was.length !== is.length)
    return [`${where}: it has ${was.length} rows, and the review makes ${is.length}.`]
  const shared = Object.keys(was[0] ?? {}).filter((key) => key in (is[0] ?? {}) && !WORDED.test(key))
  return was.flatMap((row, n) =>
    shared.flatMap((key) =>
      plainJson(row[key] ?? '') === plainJson(is[n]![key] ?? '')
        ? []
        : [`${where}, row ${n + 1}: ${key} is another than the review makes.`],
    ),
  )
}
