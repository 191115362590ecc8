import { finalLine, reachedBy, type LineLike } from './lines/keys'

interface Counted<L> {
  strategies: Readonly<Record<string, readonly L[]>>
  counts?: Readonly<Record<string, { lineId: string }>>
}

/** The line that somebody chose to count; undefined where nobody did, or where it is there no more. */
export const chosenLine = <L extends { id: string }>(review: Counted<L>, sourceId: string): L | undefined =>
  review.strategies[sourceId]?.find((l) => l.id === review.counts?.[sourceId]?.lineId)

/**
 * The line that says what the strategy of a source found: the one that somebody chose, else the last line with a text.
 * Undefined where there is none. Defined here alone.
 */
export const countingLine = <L extends { id: string; described?: string | undefined }>(
  review: Counted<L>,
  sourceId: string,
): L | undefined => chosenLine(review, sourceId) ?? finalLine(review.strategies[sourceId] ?? [])

/**
 * The line that somebody chose to count, and those that it is built of, by id: all others of the strategy were tried.
 * Undefined where nobody chose.
 */
export function linesThatCount<L extends LineLike>(
  review: Counted<L>,
  sourceId: string,
): ReadonlySet<string> | undefined {
  const chosen = chosenLine(review, sourceId)
  return chosen && new Set(reachedBy(review.strategies[sourceId]!, chosen.id).map((l) => l.id))
}

interface RunLike {
  id: string
  sourceId: string
  lineId: string
  roundId?: string | undefined
  supersedes?: string | undefined
}

/**
 * The runs that count, by source: of the line that counts, in the last round in which it was run, the last one that no
 * correction has taken the place of. A line that was edited since counts with what was run.
 */
export function runsThatCount<R extends RunLike>(review: {
  runs: readonly R[]
  sources: readonly { id: string }[]
  strategies: Readonly<Record<string, readonly { id: string; described?: string | undefined }[]>>
  counts?: Readonly<Record<string, { lineId: string }>>
}): Map<string, R> {
  const corrected = new Set(review.runs.flatMap((r) => (r.supersedes === undefined ? [] : [r.supersedes])))
  const found = new Map<string, R>()
  for (const id of new Set([...review.sources.map((s) => s.id), ...review.runs.map((r) => r.sourceId)])) {
    const line = countingLine(review, id)
    const run = review.runs.findLast(
      (r) => r.sourceId === id && r.lineId === line?.id && !corrected.has(r.id),
    )
    if (run) found.set(id, run)
  }
  return found
}
