import type { BroughtShort, LimitsBeyond } from '../reads/en'
import { lastAsking, type Deeds } from './deeds'

interface Limit {
  kind: string
  from?: number
  to?: number
  values?: string[]
}
interface Asked {
  number: number
  text: string
  limits: Limit[]
}
const NAMES: Readonly<Record<string, string>> = { en: 'English', de: 'German', es: 'Spanish' }

/** A limit as it is read back from a sentence. */
function read({ kind, from, to, values = [] }: Limit): string {
  if (kind === 'years')
    return from === undefined
      ? `years up to ${to}`
      : to === undefined
        ? `years ${from}`
        : `years ${from} ${to}`
  return kind === 'language'
    ? `language ${values
        .map((v) => NAMES[v] ?? v)
        .sort()
        .join(', ')}`
    : kind
}

/** Parts of a text between such words, outside of brackets. */
function parted(text: string, word: string): string[] {
  const parts = ['']
  let depth = 0
  for (let at = 0; at < text.length; at++) {
    if (!depth && text.startsWith(word, at)) {
      parts.push('')
      at += word.length - 1
      continue
    }
    depth += text[at] === '(' ? 1 : text[at] === ')' ? -1 : 0
    parts.push(`${parts.pop()}${text[at]}`)
  }
  return parts
}

/** What everything that a line finds has: what holds of one of them where all are asked, and of all where any is. */
function inForce(line: Asked, all: ReadonlyMap<number, Asked>): string[] {
  const had = (text: string): string[] => {
    const bare = text.trim()
    const [, word, list] = /^(any|all)?\((.*)\)$/.exec(bare) ?? []
    if (list !== undefined) {
      const parts = word === undefined ? [had(list)] : parted(list, ', ').map(had)
      return word === 'any' ? parts.reduce((x, y) => x.filter((l) => y.includes(l))) : parts.flat()
    }
    const [kept, ...out] = parted(bare, ' NOT ')
    if (out.length) return had(kept!)
    const either = parted(bare, ' OR ')
    if (either.length > 1) return either.map(had).reduce((x, y) => x.filter((l) => y.includes(l)))
    const both = parted(bare, ' AND ')
    if (both.length > 1) return both.flatMap(had)
    const below = /^#(\d+)$/.exec(bare)?.[1]
    const other = below === undefined ? undefined : all.get(Number(below))
    return other ? inForce(other, all) : []
  }
  return [...line.limits.map(read), ...had(line.text)]
}

/** The run that counts of a source by its name: of its last line, else the one that records came of. */
export function countedRun(source: string, deeds: Deeds) {
  const id = deeds.of('source.set').findLast((s) => s.name === source)?.id
  const lines = deeds.of('strategy.set').findLast((p) => p.sourceId === id)?.lines as
    | { id: string; described?: string }[]
    | undefined
  const runs = deeds.of('run.log')
  const wrong = new Set(runs.map((r) => r.supersedes))
  const standing = runs.filter((r) => r.sourceId === id && !wrong.has(r.id))
  // The last line as it was run last; where it never was, what records came of.
  const brought = deeds.of('records.import').flatMap((i) => (typeof i.runId === 'string' ? [i.runId] : []))
  return (
    standing.findLast((r) => r.lineId === lastAsking(lines)?.id) ??
    standing.findLast((r) => brought.includes(String(r.id)))
  )
}

const rankedBy = (i: Record<string, unknown>): string =>
  ((i.of as { rankedBy: string } | undefined)?.rankedBy ?? '').trim()

/** Just so many records of that source were brought in and stay, which is fewer than its search found. */
export function broughtShort(read: BroughtShort, deeds: Deeds): boolean {
  const run = countedRun(read.source, deeds)
  const gone = new Set(deeds.of('import.remove').map((i) => i.id))
  const files = deeds.of('records.import')
  const replaced = new Set(files.flatMap((i) => (i.supersedes as { ids: string[] } | undefined)?.ids ?? []))
  const there = files.filter(
    (i) => i.sourceId === run?.sourceId && !gone.has(i.id) && !replaced.has(i.id as string),
  )
  const brought = there.reduce((n, i) => n + (i.count as number), 0)
  // Each file came of that run, or of one that was logged wrongly in its place.
  const ran = deeds.of('run.log')
  const before = (id: unknown): unknown[] =>
    ran.flatMap((r) =>
      r.id === id ? [r.id, ...(r.supersedes === undefined ? [] : before(r.supersedes))] : [],
    )
  const own = before(run?.id)
  return (
    run !== undefined &&
    read.found === run.hits &&
    read.brought === brought &&
    there.every((i) => own.includes(i.runId)) &&
    brought > 0 &&
    brought < read.found &&
    // Ranked so, as was noted of each file.
    (read.rankedBy === undefined
      ? new Set(there.map(rankedBy)).size > 1 || there.every((i) => rankedBy(i) === '')
      : there.every((i) => rankedBy(i) === read.rankedBy))
  )
}

/** All that the search of that source found has just these limits, and the plan has none of them. */
export function limitsBeyond({ source, limits, others }: LimitsBeyond, deeds: Deeds): boolean {
  const run = countedRun(source, deeds)
  if (!run) return false
  const reached = (run.reached as Asked[]).map((l) => [l.number, l] as const)
  const own = { number: run.number, text: run.text, limits: run.limits } as Asked
  const set = inForce(own, new Map(reached))
  const gone = new Set(deeds.of('limit.remove').map((l) => l.id))
  const plan = new Map(deeds.of('limit.set').map((l) => [l.id, read(l.limit as Limit)]))
  const planned = [...plan].flatMap(([key, words]) => (gone.has(key) ? [] : [words]))
  const beyond = [...new Set(set)].filter((words) => !planned.includes(words)).sort()
  return (
    beyond.length > 0 &&
    JSON.stringify([...limits].sort()) === JSON.stringify(beyond) &&
    others === planned.length > 0
  )
}
