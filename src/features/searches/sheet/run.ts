import type { Store } from '@/store/store'
import type { Problem } from '@/core/base'
import { logRuns, type RunMade } from '@/core/doing'
import { currentRuns, type Review, type Source } from '@/core/review'

import { evidenceOf, sourceInfo, type SourceInfo } from '@/standins/source-info'
import { callback, searchDesk } from '@/workers'

/** A source as the plan has it now: which release is searched may have changed since the screen was drawn. */
const infoNow = (review: Review, source: Source): SourceInfo =>
  sourceInfo(review, review.sources.find((s) => s.id === source.id) ?? source)

/** Which lines to log: those without a current run, all of them, or one with what it needs. */
export type Which = 'stale' | 'all' | { lineId: string }

export interface RunOutcome {
  /** What is wrong with lines that could not be run, by line. */
  problems: Map<string, Problem[]>
  /** How many runs were logged. */
  logged: number
  stopped: boolean
}

/**
 * Runs the lines of a source and logs each run. `progress` is told how many lines are done; it stops the run by
 * answering false: what was run before is logged all the same, for it happened.
 */
export async function runLines(
  store: Store,
  source: Source,
  which: Which = 'stale',
  progress: (done: number, of: number) => boolean = () => true,
): Promise<RunOutcome> {
  const { doIt } = store
  const { review } = store.session.getState().folded
  const info = infoNow(review, source)
  const { searched, release } = info
  const whole = review.strategies[source.id] ?? []
  const outcome: RunOutcome = { problems: new Map(), logged: 0, stopped: false }
  if (!searched || !release) return outcome
  const until = typeof which === 'object' ? whole.findIndex((l) => l.id === which.lineId) + 1 : whole.length
  const lines = whole.slice(0, until)
  const current = currentRuns(review, source.id)
  const wanted = (id: string): boolean =>
    which === 'all' || (which === 'stale' ? !current.has(id) : id === which.lineId)
  const answers = await searchDesk().run(searched, lines, callback(progress))
  const made: RunMade[] = []
  outcome.stopped = answers.length < lines.length
  for (const answer of answers) {
    if (answer.problems.length) outcome.problems.set(answer.id, answer.problems)
    const line = lines[answer.number - 1]!
    if (answer.hits === undefined || !wanted(line.id)) continue
    const { sent, hits } = answer
    made.push({ source, lines, line, sent, hits, release, how: 'stand-in', evidence: evidenceOf(info) })
  }
  outcome.logged = made.length
  if (made.length) await doIt(logRuns, made)
  return outcome
}
