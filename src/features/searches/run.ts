import type { Problem } from '@/core/base'
import { lineKeys } from '@/core/strategy'
import type { Line, Source } from '@/core/review'
import { LATEST, standin } from '@/standins'
import { act, keepRecords, newId, now, useSession } from '@/store/session'
import { searchDesk } from '@/workers'

/**
 * Runs every line of a source that has no current run and logs each run. Gives what is wrong with lines that could
 * not be run, by line.
 */
export async function runStale(source: Source): Promise<Map<string, Problem[]>> {
  const info = standin(source.profileId)
  const { review } = useSession.getState().folded
  const lines = review.strategies[source.id] ?? []
  const problems = new Map<string, Problem[]>()
  if (!info) return problems
  const keys = lineKeys(lines)
  const current = new Set(
    review.runs.filter((r) => r.sourceId === source.id && keys.get(r.lineId) === r.key).map((r) => r.lineId),
  )
  const answers = await searchDesk().run(info.id, lines)
  for (const answer of answers) {
    if (answer.problems.length) problems.set(answer.id, answer.problems)
    const line = lines[answer.number - 1]!
    if (answer.hits === undefined || current.has(line.id)) continue
    await act('run.log', {
      id: newId(),
      sourceId: source.id,
      lineId: line.id,
      key: keys.get(line.id)!,
      number: answer.number,
      text: line.text,
      sent: answer.sent,
      limits: line.limits,
      hits: answer.hits,
      at: now(),
      by: useSession.getState().reader,
      release: LATEST,
      how: 'stand-in',
    })
  }
  return problems
}

/** Brings the records of a line into the review, in place of what that source brought before; gives how many came of how many. */
export async function bringRecords(source: Source, line: Line): Promise<{ count: number; hits: number }> {
  const info = standin(source.profileId)
  if (!info) return { count: 0, hits: 0 }
  const { review } = useSession.getState().folded
  const { records, hits } = await searchDesk().records(info.id, review.strategies[source.id] ?? [], line.id)
  const digest = await keepRecords(records)
  const run = review.runs.findLast((r) => r.lineId === line.id)
  const known = review.imports.find((i) => i.sourceId === source.id)
  await act('records.import', {
    id: known?.id ?? newId(),
    sourceId: source.id,
    ...(run ? { runId: run.id } : {}),
    digest,
    count: records.length,
    at: now(),
  })
  return { count: records.length, hits }
}
