import { hasErrors, plural, problem, thousands, type Problem } from '../../base'
import { readWithLimits, type Profile } from '../../profile'
import {
  LANGUAGE_CODES,
  languageName,
  print,
  byGroup,
  parse,
  referredLines,
  withoutPlaces,
  type Expr,
  type LimitValue,
} from '../../query'
import { impossibleHits } from '../lines/bounds'
import { renumber, renumberText } from '../lines/references'
import type { HistoryRow } from './recognise'

/** One search of a history as the database that ran it understood it. Its number is its place in the list, from 1. */
export interface PastSearch {
  row: HistoryRow
  /** Plain notation, references in the numbers of this list; empty where nothing could be read. */
  text: string
  limits: LimitValue[]
  hits: number | undefined
  /** What was typed there, where it could not be read as a query or says nothing but a limit. */
  described: string | undefined
  /** Lines that were only limits on this one and are part of it now: the numbers they had there, with their hits. */
  folded: { number: number; hits: number | undefined }[]
  problems: Problem[]
}

/** Reads the searches of a history by the profile of the database. Nothing is dropped: what cannot be read is described. */
export function readHistory(rows: readonly HistoryRow[], profile: Profile): PastSearch[] {
  const place = new Map<number, number>()
  rows.forEach((r, i) => {
    const number = r.number ?? i + 1
    if (!place.has(number)) place.set(number, i + 1)
  })
  const onlyLimits = new Map<number, LimitValue[]>()
  const searches = rows.map((row, i): PastSearch => {
    if (row.reading !== undefined) return asPutRight(row, row.reading, i + 1, profile)
    const read = readWithLimits(straightQuotes(row.text, profile), profile)
    const problems = [...read.problems]
    const { tree: known, limits: taken } = read.tree
      ? withoutLimitLines(read.tree, (n) => onlyLimits.get(place.get(n) ?? 0))
      : { tree: undefined, limits: [] }
    const limits = [...taken, ...read.limits, ...limitsInWords(row.limits, profile)]
    const refs = known ? referredLines(known) : []
    for (const n of refs.filter((r) => (place.get(r) ?? Infinity) > i))
      problems.push(
        problem('line-missing', 'error', `It refers to line ${n}, which is not in this history before it.`),
      )
    const base = { row, limits, hits: row.hits, folded: [], problems }
    if (!known && read.limits.length && !hasErrors(problems)) {
      onlyLimits.set(i + 1, read.limits)
      return { ...base, text: '', described: row.text }
    }
    if (!known || hasErrors(problems)) return { ...base, text: '', described: row.text }
    const own = renumber(known, (n) => place.get(n))
    return { ...base, text: print(byGroup(withoutPlaces(own))), described: undefined }
  })
  return searches.map((search) => {
    const line = { ...search, tree: parse(search.text).tree }
    const said = impossibleHits(line, (n) => searches[n - 1]?.hits)
    if (!said) return search
    const wrong = problem('count-impossible', 'warning', `By the lines it is built on it has ${said} hits.`)
    return { ...search, problems: [...search.problems, wrong] }
  })
}

/** A search as a person says it is meant, in plain notation with the numbers of this list; its text is what was sent. */
function asPutRight(row: HistoryRow, reading: string, number: number, profile: Profile): PastSearch {
  const { tree, problems: found } = parse(reading)
  const problems = [...found]
  for (const n of tree ? referredLines(tree).filter((n) => n >= number) : [])
    problems.push(problem('line-missing', 'error', `Line ${n} does not stand before it.`))
  const limits = limitsInWords(row.limits, profile)
  const base = { row, limits, hits: row.hits, folded: [], problems }
  return tree && !hasErrors(problems)
    ? { ...base, text: reading.trim(), described: undefined }
    : { ...base, text: '', described: row.text }
}

/** Lines that are nothing but a limit, joined with AND: taken as limits of the line that joins them. */
function withoutLimitLines(
  e: Expr,
  limitsOf: (number: number) => LimitValue[] | undefined,
): { tree: Expr | undefined; limits: LimitValue[] } {
  if (e.kind === 'line') {
    const limits = limitsOf(e.number)
    return limits ? { tree: undefined, limits } : { tree: e, limits: [] }
  }
  if (e.kind !== 'and') return { tree: e, limits: [] }
  const parts = e.parts.map((p) => withoutLimitLines(p, limitsOf))
  const trees = parts.flatMap((p) => p.tree ?? [])
  return {
    tree: trees.length > 1 ? { ...e, parts: trees } : trees[0],
    limits: parts.flatMap((p) => p.limits),
  }
}

/** Word processors turn quotes; where the database's own are straight, turned ones are read as these. */
function straightQuotes(text: string, { quotes }: Profile): string {
  const double = quotes.open === '"' ? '"' : quotes.open === "'" ? "'" : undefined
  if (!double) return text
  const out = text.replace(/[“”„‟«»]/g, double)
  return quotes.open === "'" ? out.replace(/[‘’‚](?!\p{L}*\b['’])/gu, "'") : out
}

const LANGUAGES = LANGUAGE_CODES.map(
  (code) => [code, new RegExp(`\\b${languageName(code)}\\b`, 'i')] as const,
)

/** What stood in a column for limits, in the database's own form or in words; what is not understood is kept as it is. */
export function limitsInWords(text: string, profile: Profile): LimitValue[] {
  return text
    .split(/[;\n]|,(?!\s*\d)/)
    .map((part) => part.trim())
    .filter((part) => part && !/^(?:none|no limits?|-|–|—)$/i.test(part))
    .flatMap((part): LimitValue[] => {
      const { tree, limits } = readWithLimits(part, profile)
      if (!tree && limits.length) return limits
      const years = /(\d{4})\s*(?:-|–|—|\.\.|to|and)\s*(\d{4})?/i.exec(part)
      if (years)
        return [{ kind: 'years', from: Number(years[1]), ...(years[2] ? { to: Number(years[2]) } : {}) }]
      const since = /(?:since|from|after)\s+(\d{4})/i.exec(part)
      if (since) return [{ kind: 'years', from: Number(since[1]) }]
      const languages = LANGUAGES.flatMap(([code, name]) => (name.test(part) ? [code] : []))
      if (languages.length) return [{ kind: 'language', values: languages }]
      if (/peer.?review|\brefereed\b/i.test(part)) return [{ kind: 'peer reviewed' }]
      if (/open access/i.test(part)) return [{ kind: 'open access' }]
      return [{ kind: 'other', text: part }]
    })
}

/**
 * Folds lines that only limit another into the line they limit, where nothing else needs that line without the limit;
 * the hits of the last one become those of the line. Lines that say nothing but a limit, and that others have taken
 * up, go too. What was folded is kept with the line.
 */
export function foldLimitLines(searches: readonly PastSearch[]): PastSearch[] {
  const kept = searches.map((s) => ({ ...s, limits: [...s.limits], folded: [...s.folded] }))
  const home = kept.map((_, i) => i)
  const trees = kept.map((s) => (s.text ? parse(s.text).tree : undefined))
  const users = (n: number): number[] =>
    trees.flatMap((t, i) => (t && referredLines(t).includes(n + 1) ? [i] : []))
  kept.forEach((search, i) => {
    const tree = trees[i]
    if (tree?.kind !== 'line' || !search.limits.length) return
    const below = tree.number - 1
    if (users(below).length !== 1 || !kept[below]) return
    const target = kept[home[below]!]!
    target.limits.push(...search.limits)
    target.folded.push({ number: search.row.number ?? i + 1, hits: target.hits })
    target.hits = search.hits
    home[i] = home[below]!
  })
  const goes = (i: number): boolean =>
    home[i] !== i ||
    (kept[i]!.described !== undefined && kept[i]!.limits.length > 0 && takenUp(kept[i]!, kept))
  const stays = kept.flatMap((_, i) => (goes(i) ? [] : [i]))
  const now = new Map(kept.map((_, i) => [i + 1, stays.indexOf(home[i]!) + 1]))
  return stays.map((i) => ({ ...kept[i]!, text: renumberText(kept[i]!.text, (n) => now.get(n)) }))
}

const takenUp = (search: PastSearch, all: readonly PastSearch[]): boolean =>
  search.limits.every((l) =>
    all.some((s) => s !== search && s.text && s.limits.some((x) => JSON.stringify(x) === JSON.stringify(l))),
  )

/** What is worth noting on a line that was folded or could not be read. */
export function noteOf(search: PastSearch): string {
  if (!search.folded.length) return ''
  const steps = search.folded.map((f) => (f.hits === undefined ? '?' : thousands(f.hits)))
  return `${plural(search.folded.length, 'limit')} that the history had on lines of their own; before each: ${steps.join(', ')}`
}
