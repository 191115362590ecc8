import { keptFor } from '../base'
import {
  currentRuns,
  standingImports,
  standingRuns,
  type Line,
  type ReachedLine,
  type Review,
  type Run,
} from '../review'
import { countingLine } from '../strategy'
import type { FactContext } from './facts/fact'

/**
 * The review with its strategies as they were run: what was run stays told as run, and a line that was edited since and not
 * run changes no sentence. Where the counting line of a source stands unrun, its lines are those that the run that counts
 * had reached, in their places then, and what stands behind them is not there; any other line that was run is as it was when
 * it was run last. A source of which nothing that counts was run is as it is planned. The same review where every line that
 * was ever run was run as it stands.
 */
export const asRun = keptFor((review: Review): Review => {
  let strategies = review.strategies
  let sources = review.sources
  for (const { id } of review.sources) {
    const now = review.strategies[id] ?? []
    const run = runThatCounted(review, id)
    const joined = run ? linesOf(run, now) : now
    // Of the review itself, which runs are current is known already.
    const stands = joined === now ? review : { ...review, strategies: { ...strategies, [id]: joined } }
    const lines = upToCounting(review, id, edgesAsRun(stands, id))
    if (lines !== now) strategies = { ...strategies, [id]: lines }
    // A release that was chosen since and not searched is none that was searched.
    if (run?.how === 'stand-in')
      sources = sources.map((s) => (s.id === id && s.release ? { ...s, release: run.release } : s))
  }
  return strategies === review.strategies && sources === review.sources
    ? review
    : { ...review, strategies, sources }
})

/** The same for all that an account is read from. */
export const asTold = <C extends FactContext>(context: C): C => toldOf(context) as C
const toldOf = keptFor((context: FactContext): FactContext => {
  const review = asRun(context.review)
  return review === context.review ? context : { ...context, review }
})

/** What a source was searched with, where its counting line stands unrun: that line’s last run, else the one whose records came in. */
function runThatCounted(review: Review, sourceId: string): Run | undefined {
  const line = countingLine(review, sourceId)
  if (line && currentRuns(review, sourceId).has(line.id)) return undefined
  const runs = standingRuns(review.runs).filter((r) => r.sourceId === sourceId)
  const broughtIn = new Set(standingImports(review).map((i) => i.runId))
  return runs.findLast((r) => r.lineId === line?.id) ?? runs.findLast((r) => broughtIn.has(r.id))
}

/** A line and those it reached as they stood when it was run; of runs that were logged in the first form, itself alone. */
const reachedIn = (run: Run): readonly ReachedLine[] =>
  run.reached ?? [{ number: run.number, id: run.lineId, text: run.text, limits: run.limits }]

/** The lines up to the one that was run: those it reached as they stood then, others in the places between them. */
function linesOf(run: Run, now: Line[]): Line[] {
  const reached = new Map(reachedIn(run).map((l) => [l.number, l]))
  const ids = new Set([...reached.values()].map((l) => l.id))
  const between = now.filter((l) => !ids.has(l.id))
  return Array.from({ length: run.number }, (_, n): Line => {
    const then = reached.get(n + 1)
    if (!then) return between.shift() ?? empty(`${run.id}/${n + 1}`)
    return stoodAs(now.find((l) => l.id === then.id) ?? empty(then.id), then)
  })
}

/** Where somebody said which line counts, what stands behind it was tried; what was searched without a text stands for itself. */
function upToCounting(review: Review, sourceId: string, lines: Line[]): Line[] {
  const chosen = review.counts?.[sourceId]?.lineId
  const at = lines.findIndex((l) => l.id === chosen)
  const kept = lines.filter((l, n) => at < 0 || n <= at || l.described !== undefined)
  return kept.length === lines.length ? lines : kept
}

/** Lines that nothing which counts refers to: each as it was when it was run last. */
function edgesAsRun(review: Review, sourceId: string): Line[] {
  const lines = review.strategies[sourceId] ?? []
  const current = currentRuns(review, sourceId)
  const last = new Map(
    standingRuns(review.runs)
      .filter((r) => r.sourceId === sourceId)
      .map((r) => [r.lineId, r]),
  )
  if (lines.every((l) => current.has(l.id) || !last.has(l.id))) return lines
  return lines.map((line) => {
    const run = current.has(line.id) ? undefined : last.get(line.id)
    const then = run && reachedIn(run).find((l) => l.id === line.id)
    return then ? stoodAs(line, then) : line
  })
}

function stoodAs({ described: _now, ...line }: Line, { text, limits, described }: ReachedLine): Line {
  return { ...line, text, limits, ...(described === undefined ? {} : { described }) }
}

const empty = (id: string): Line => ({ id, text: '', limits: [], note: '', drafted: false })
