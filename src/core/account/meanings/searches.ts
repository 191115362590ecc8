import type { ByHand, Truncation, Without } from '../reads/en'
import { countingRuns, toldAsFound, type CountingRun } from './counting-runs'
import { searchesOf } from './as-searched'
import { lastAsking, type Deeds } from './deeds'
import { sameNames } from './plan'
import { looksOf } from './search-reviewed'

interface Ran extends CountingRun {
  by: string
  how: string
  limits: unknown[]
}

/** Words with any ending that a run asks for: as they stand in quotes together, or by themselves. */
function asked(text: string): string[] {
  const phrases = [...text.matchAll(/"([^"]*)"/g)].map((m) => m[1]!)
  const words = text.replace(/"[^"]*"/g, ' ').split(/[\s()]+/)
  return [...phrases, ...words].filter((w) => /^[\p{L}\p{N} -]+\*$|\p{L}\* /u.test(w))
}

/** In what was sent, every open word of it stands as it begins, and nowhere with a sign or another ending. */
const cut = (words: string, sent: string): boolean => {
  const open = words.split(' ').filter((w) => w.endsWith('*'))
  return open.every((w) => {
    const stem = w.slice(0, -1).toLowerCase()
    const tokens = sent
      .toLowerCase()
      .split(/[\s()"“”,;[\]/:=.@]+/)
      .filter((t) => t.includes(stem))
    return tokens.length > 0 && tokens.every((t) => t === stem || !t.startsWith(stem))
  })
}

/** Just these words of the lines that count were sent without truncation, in just these databases. */
export function truncation(read: Truncation, deeds: Deeds): boolean {
  const found = countingRuns(deeds).flatMap(({ name, runs }) => {
    const words = new Set(runs.flatMap((run) => asked(run.text).filter((w) => cut(w, run.sent))))
    return words.size ? [{ name, items: [...words].map((w) => w.replace(/\*/g, '')) }] : []
  })
  return toldAsFound(
    found,
    read.sources.map(({ words, ...s }) => ({ ...s, items: words })),
  )
}

/** A word of a text that stands outside quotes, without a sign for its endings; operators and fields are none. */
const bareWord = (text: string): boolean =>
  text
    .replace(/"[^"]*"/g, ' ')
    .replace(/(?:NEAR|ONEAR)\/\d+|[\p{L}.,]+:|#\d+(?:-#?\d+)?|\b(?:AND|OR|NOT|any|all)\b/gu, ' ')
    .split(/[\s()]+/)
    .some((w) => /^[\p{L}\p{N}-]+$/u.test(w))

/** By what is known of them just these look for all forms, and just these for singular and plural; each was sent a bare word. */
export function stemmed(read: { stems?: string; plurals?: string }, deeds: Deeds): boolean {
  const bare = searchesOf(deeds).flatMap((s) => {
    // Of what counts: it asked what it reached, as that stood then.
    const run = s.ran.get(s.lines[s.last]?.id ?? '')
    const texts = run ? [...(run.reached ?? []).map((l) => l.text), run.text] : []
    return texts.some(bareWord) ? [{ name: s.name, id: s.id }] : []
  })
  const doing = (how: string): string[] =>
    bare.filter((s) => deeds.world.stems[s.id] === how).map((s) => s.name)
  const are = (told: string | undefined, names: string[]): boolean =>
    told === undefined ? !names.length : sameNames(told, names)
  return are(read.stems, doing('stems')) && are(read.plurals, doing('plurals'))
}

/** Each of these was not done with any strategy that was run, and each other one was done or planned. */
export function searchesWithout(read: Without, deeds: Deeds): boolean {
  const runs = deeds.of('run.log') as unknown as Ran[]
  const gone = new Set(deeds.of('limit.remove').map((l) => l.id))
  const ran = new Set(runs.map((r) => r.lineId))
  const last = new Map(deeds.of('strategy.set').map((p) => [p.sourceId as string, p]))
  const taken = [...last.values()].flatMap((p) =>
    (p.lines as { id: string; takenOver?: { what: string } }[]).flatMap((l) =>
      l.takenOver && ran.has(l.id) ? [l.takenOver.what] : [],
    ),
  )
  const there: Record<Without[number], boolean> = {
    limits: deeds.of('limit.set').some((l) => !gone.has(l.id)) || runs.some((r) => r.limits.length > 0),
    filter: taken.includes('filter'),
    earlier: taken.includes('earlier strategy'),
    review: looksOf(deeds).size > 0,
  }
  // Of a search that stands nowhere nobody can say what it had not.
  const lost = searchesOf(deeds).some((s) => s.lost)
  return (
    read.length > 0 &&
    runs.length > 0 &&
    deeds.counted('broad').length > 0 &&
    (Object.keys(there) as Without).every((what) =>
      lost && what !== 'review' ? !read.includes(what) : there[what] !== read.includes(what),
    )
  )
}

/** Just these databases were searched before there was a record, and what they were asked stands nowhere. */
export const searchedBefore = ({ names }: { names: string }, deeds: Deeds): boolean => {
  const lost = searchesOf(deeds).filter((s) => s.lost)
  return (
    lost.length > 0 &&
    sameNames(
      names,
      lost.map((s) => s.name),
    )
  )
}

/** The last run of the last line of each database, as far as it stands, by the name of the database. */
function counting(deeds: Deeds): { name: string; run: Ran }[] {
  const runs = deeds.of('run.log') as unknown as Ran[]
  const replaced = new Set(runs.map((r) => r.supersedes))
  const sources = new Map(deeds.of('source.set').map((s) => [s.id as string, s]))
  return [...sources.values()].flatMap((s) => {
    const lines = deeds.of('strategy.set').findLast((p) => p.sourceId === s.id)?.lines as
      | { id: string; described?: string }[]
      | undefined
    const run = runs.findLast(
      (r) => r.sourceId === s.id && r.lineId === lastAsking(lines)?.id && !replaced.has(r.id),
    )
    return s.kind === 'database' && run ? [{ name: s.name as string, run }] : []
  })
}

/** Just these databases have counts that were typed, and just these from a history. */
export function countsByHand(read: ByHand, deeds: Deeds): boolean {
  const all = counting(deeds)
  const are = (told: readonly string[], how: string): boolean => {
    const own = all.filter((c) => c.run.how === how).map((c) => c.name)
    return own.length === told.length && own.every((name) => told.includes(name))
  }
  return (
    read.typed.length + read.pasted.length > 0 &&
    are(read.typed, 'by hand') &&
    are(read.pasted, 'pasted history')
  )
}

/** So many runs of what is still in the plan took the place of others and stand. */
export function countsCorrected(read: { runs: number }, deeds: Deeds): boolean {
  const runs = deeds.of('run.log') as unknown as Ran[]
  const replaced = new Set(runs.map((r) => r.supersedes))
  const out = new Set(deeds.of('source.remove').map((p) => p.id))
  const standing = runs.filter(
    (r) => r.supersedes !== undefined && !replaced.has(r.id) && !out.has(r.sourceId),
  )
  return read.runs > 0 && standing.length === read.runs
}
