import { lastAsking, type Deeds } from './deeds'
import { readLine, reached, refersTo, type SlowLine } from './what-is-found'

export interface SlowRun {
  id: string
  sourceId: string
  lineId: string
  number: number
  text: string
  at: string
  by: string
  hits: number
  how: string
  reached?: { text: string }[]
  supersedes?: string
}

/** A database that was searched: its lines as they were run, and which of them were. */
export interface SlowSearch {
  id: string
  name: string
  lines: SlowLine[]
  /** The run of a line as it stands among these. */
  ran: ReadonlyMap<string, SlowRun>
  /** Everything that was run there and stands. */
  runs: readonly SlowRun[]
  /** The place of the last line; it counts where it was run. */
  last: number
  /** It was made before there was a record, and what it asked stands nowhere. */
  lost: boolean
}

type Payload = ReturnType<Deeds['of']>[number]

/** The sources that are there, each as it was set last. */
export function sourcesOf(deeds: Deeds): Payload[] {
  const found = new Map<string, Payload>()
  for (const e of deeds.live) {
    const p = e.payload as { id: string }
    if (e.kind === 'source.set') found.set(p.id, p as never)
    if (e.kind === 'source.remove') found.delete(p.id)
  }
  return [...found.values()]
}

export const standingRuns = (deeds: Deeds): SlowRun[] => {
  const all = deeds.of('run.log') as unknown as SlowRun[]
  const replaced = new Set(all.map((r) => r.supersedes))
  return all.filter((r) => !replaced.has(r.id))
}

/** What a line asks with all that it refers to, as one text. */
const spelled = (lines: readonly SlowLine[], at: number): string => {
  const line = lines[at]
  if (!line) return 'none'
  const below = refersTo(readLine(line.text))
    .map((n) => (n - 1 < at ? `${n}=(${spelled(lines, n - 1)})` : 'none'))
    .join(' ')
  return `${line.text} ${line.described ?? ''} ${JSON.stringify(line.limits)} ${below}`
}

const known = new WeakMap<Deeds, SlowSearch[]>()

/** Every database that was searched, told from what was run: a line that was edited since and not run stands as it was. */
export function searchesOf(deeds: Deeds): SlowSearch[] {
  const before = known.get(deeds)
  if (before) return before
  const standing = standingRuns(deeds)
  const now = new Map<string, SlowLine[]>()
  const linesAt = new Map<string, SlowLine[]>()
  for (const e of deeds.live) {
    const p = e.payload as { id: string; sourceId: string; lines: SlowLine[] }
    if (e.kind === 'strategy.set') now.set(p.sourceId, p.lines)
    if (e.kind === 'run.log') linesAt.set(p.id, now.get(p.sourceId) ?? [])
  }
  const all = sourcesOf(deeds).flatMap((source): SlowSearch[] => {
    const id = source.id as string
    const runs = standing.filter((r) => r.sourceId === id)
    if (source.kind !== 'database' || !runs.length) return []
    const lines = asRun(now.get(id) ?? [], runs, linesAt)
    const ran = new Map<string, SlowRun>()
    lines.forEach((line, at) => {
      const run = runs.findLast((r) => {
        const then = linesAt.get(r.id)!
        const place = then.findIndex((l) => l.id === r.lineId)
        return r.lineId === line.id && spelled(then, place) === spelled(lines, at)
      })
      if (run) ran.set(line.id, run)
    })
    const asking = lines.findLastIndex((l) => l.described === undefined)
    const last = asking < 0 ? lines.length - 1 : asking
    const made = ran.get(lines[last]?.id ?? '')
    const lost = made?.how === 'before' && made.text === ''
    return [{ id, name: source.name as string, lines, ran, runs, last, lost }]
  })
  known.set(deeds, all)
  return all
}

/** The lines of a source: as they stand, or where the last was edited since, up to the one that was run, as it stood then. */
function asRun(
  now: readonly SlowLine[],
  runs: readonly SlowRun[],
  linesAt: ReadonlyMap<string, SlowLine[]>,
): SlowLine[] {
  const asks = (lines: readonly SlowLine[], id: string | undefined): string =>
    spelled(
      lines,
      lines.findIndex((l) => l.id === id),
    )
  const ran = (id: string | undefined): SlowRun | undefined => runs.findLast((r) => r.lineId === id)
  const counting = ran(lastAsking(now)?.id)
  const then = counting && linesAt.get(counting.id)!
  const edited = counting && asks(then!, counting.lineId) !== asks(now, counting.lineId)
  const whole = edited ? then!.slice(0, then!.findIndex((l) => l.id === counting.lineId) + 1) : now
  // To which concept a line belongs is no part of what was run.
  const belongs = ({ conceptId: _then, ...was }: SlowLine): SlowLine => {
    const conceptId = now.find((l) => l.id === was.id)?.conceptId
    return conceptId === undefined ? was : { ...was, conceptId }
  }
  // What the run that counts had reached stands as it stood then, whatever was run of it since.
  const kept = new Set(edited ? reached(whole, whole.length - 1) : [])
  return whole.map((line, at) => {
    const run = ran(line.id)
    if (kept.has(at) || !run || asks(linesAt.get(run.id)!, line.id) === asks(whole, line.id))
      return belongs(line)
    return belongs(linesAt.get(run.id)!.find((l) => l.id === line.id)!)
  })
}

/** The line that counts was run as it stands. */
export const counts = (s: SlowSearch): boolean => s.ran.has(s.lines[s.last]?.id ?? '')

/** The searches of which it is known what they asked. */
export const knownSearches = (deeds: Deeds): SlowSearch[] => searchesOf(deeds).filter((s) => !s.lost)
