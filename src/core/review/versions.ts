import { canonicalJson } from '../base'
import { keyOfRun } from '../strategy'
import { momentsOfRuns, type Entry } from './journal'
import { standingRuns, type Line, type Run } from './values'

/** A strategy as it stood when it was run: lines, and what each found then. */
export interface StrategyVersion {
  sourceId: string
  /** From 1; the present one has the highest number. */
  number: number
  lines: readonly Line[]
  /** The last run of each line under this version. */
  runs: ReadonlyMap<string, Run>
  /** When it was first run; undefined for a present strategy that has not been run as it stands. */
  at: string | undefined
  by: string | undefined
}

const asked = (lines: readonly Line[]): string =>
  canonicalJson(lines.map((l) => [l.id, l.text, l.limits, l.described ?? null]))

/**
 * The versions of a source's strategy: every state in which some line was run, oldest first, and the present state.
 * Read from the journal, so nothing has to be saved for it and none can be lost. Undone changes do not count, unless
 * something was run in between.
 */
export function strategyVersions(
  entries: readonly Entry[],
  sourceId: string,
  present: readonly Line[],
): StrategyVersion[] {
  const versions: { lines: readonly Line[]; runs: Map<string, Run>; at: string; by: string; key: string }[] =
    []
  for (const { run, lines } of momentsOfRuns(entries, sourceId)) {
    const corrected = versions.find((v) => [...v.runs.values()].some((r) => r.id === run.supersedes))
    const key = asked(lines)
    const last = corrected ?? versions[versions.length - 1]
    if (last && (corrected || last.key === key)) last.runs.set(run.lineId, run)
    else versions.push({ lines, runs: new Map([[run.lineId, run]]), at: run.at, by: run.by, key })
  }
  const found = versions.map(({ lines, runs, at, by }, i): StrategyVersion => ({
    sourceId,
    number: i + 1,
    lines,
    runs,
    at,
    by,
  }))
  if (present.length && asked(present) !== versions[versions.length - 1]?.key)
    found.push({
      sourceId,
      number: found.length + 1,
      lines: present,
      runs: new Map(),
      at: undefined,
      by: undefined,
    })
  return found
}

export interface LineVersion {
  text: string
  /** What was done, for a search that has no text. */
  described: string | undefined
  limits: Line['limits']
  hits: number
  at: string
  by: string
}

/** What a line asked each time it was run and had changed, oldest first. */
export function lineVersions(runs: readonly Run[], lineId: string): LineVersion[] {
  const found: (LineVersion & { key: string })[] = []
  for (const run of standingRuns(runs)) {
    const { lineId: id, text, sent, limits, hits, at, by } = run
    if (id !== lineId) continue
    const key = keyOfRun(run)
    const last = found[found.length - 1]
    if (last?.key === key) Object.assign(last, { hits, at, by })
    else found.push({ text, described: text ? undefined : sent, limits, hits, at, by, key })
  }
  return found.map(({ key: _key, ...version }) => version)
}

/** The run of a line before what it asks now; for saying how many more or fewer there are. */
export function runBefore(runs: readonly Run[], current: Run): Run | undefined {
  return standingRuns(runs).findLast(
    (r) => r.lineId === current.lineId && keyOfRun(r) !== keyOfRun(current) && r.at <= current.at,
  )
}
