import { produce } from 'immer'
import { canonicalJson } from '../base'
import { apply } from './apply'
import { commandOf, type Entry } from './journal'
import { emptyReview, type Line, type Review, type Run } from './values'

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

const LINE_KINDS = new Set([
  'strategy.draft',
  'strategy.set',
  'line.add',
  'line.change',
  'line.move',
  'line.remove',
  'lines.remove',
])

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
  let review: Review = emptyReview('')
  const history: { seq: number; before: Review }[] = []
  const versions: { lines: readonly Line[]; runs: Map<string, Run>; at: string; by: string; key: string }[] =
    []
  for (const entry of entries) {
    const touches =
      LINE_KINDS.has(entry.kind) && (entry.payload as { sourceId?: string }).sourceId === sourceId
    const isRun = entry.kind === 'run.log' && (entry.payload as Run).sourceId === sourceId
    if (!touches && !isRun && entry.kind !== 'undo' && entry.kind !== 'redo') continue
    const read = commandOf(entry)
    if (!read.ok) continue
    const command = read.value
    if (command.kind === 'undo') {
      const at = history.findIndex((h) => h.seq === command.payload.seq)
      if (at >= 0) review = history[at]!.before
    } else if (command.kind === 'redo') {
      const again = entries.find((e) => e.seq === command.payload.seq)
      const done = again && LINE_KINDS.has(again.kind) && commandOf(again)
      if (done && done.ok && (done.value.payload as { sourceId?: string }).sourceId === sourceId)
        review = produce(review, (draft: Review) => apply(draft, done.value))
    } else if (touches) {
      history.push({ seq: entry.seq, before: review })
      review = produce(review, (draft: Review) => apply(draft, structuredClone(command)))
    } else if (command.kind === 'run.log') {
      const lines = review.strategies[sourceId] ?? []
      const key = asked(lines)
      const last = versions[versions.length - 1]
      if (last?.key === key) last.runs.set(command.payload.lineId, command.payload)
      else
        versions.push({
          lines,
          runs: new Map([[command.payload.lineId, command.payload]]),
          at: command.payload.at,
          by: command.payload.by,
          key,
        })
    }
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
  for (const { lineId: id, key, text, sent, limits, hits, at, by } of runs) {
    if (id !== lineId) continue
    const last = found[found.length - 1]
    if (last?.key === key) Object.assign(last, { hits, at, by })
    else found.push({ text, described: text ? undefined : sent, limits, hits, at, by, key })
  }
  return found.map(({ key: _key, ...version }) => version)
}

/** The run of a line before what it asks now; for saying how many more or fewer there are. */
export function runBefore(runs: readonly Run[], current: Run): Run | undefined {
  return runs.findLast((r) => r.lineId === current.lineId && r.key !== current.key && r.at <= current.at)
}
