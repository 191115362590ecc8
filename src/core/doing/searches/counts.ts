import { standingImports, standingRuns, type Line, type Review } from '../../review'
import { chosenLine, countingLine, reachedBy } from '../../strategy'
import type { Doing } from '../doing'

/** Another line than the one that counts might be meant, and why. */
export interface CountsProposed {
  line: Line
  /** Its place, counted from 1. */
  number: number
  /** Records were brought in of it, or it is the one that is built of most lines and that no other uses. */
  because: 'records' | 'largest'
  /** The line that counts as long as nobody says otherwise. */
  instead: { line: Line; number: number }
}

/**
 * The line that might be meant as what the strategy of a source found, where that is not the last one: the last of which
 * records were brought in, else the one built of most lines that no other uses. Undefined where it is the one that counts, or
 * where somebody has chosen. It is proposed, and never taken by itself.
 */
export function countsProposed(review: Review, sourceId: string): CountsProposed | undefined {
  const lines = review.strategies[sourceId] ?? []
  const counting = countingLine(review, sourceId)
  if (!counting || chosenLine(review, sourceId)) return undefined
  const place = (line: Line): number => lines.indexOf(line) + 1
  const made = ofRecords(review, sourceId, lines)
  const found = made ? { line: made, because: 'records' as const } : largest(review, sourceId, lines)
  return found && found.line !== counting
    ? { ...found, number: place(found.line), instead: { line: counting, number: place(counting) } }
    : undefined
}

/** The last line of which records that stand were brought in. */
function ofRecords(review: Review, sourceId: string, lines: readonly Line[]): Line | undefined {
  const runs = new Map(review.runs.map((r) => [r.id, r]))
  const of = new Set(
    standingImports(review).flatMap((i) => {
      const run = i.runId === undefined ? undefined : runs.get(i.runId)
      return run?.sourceId === sourceId ? [run.lineId] : []
    }),
  )
  return lines.findLast((l) => of.has(l.id))
}

/** Of the lines that were run and that no other uses, the one that is built of most lines; the later of two alike. */
function largest(review: Review, sourceId: string, lines: readonly Line[]) {
  const ran = new Set(standingRuns(review.runs).flatMap((r) => (r.sourceId === sourceId ? [r.lineId] : [])))
  const reach = new Map(lines.map((l) => [l.id, reachedBy(lines, l.id)]))
  const used = new Set([...reach].flatMap(([id, own]) => own.flatMap((l) => (l.id === id ? [] : [l.id]))))
  const open = lines.filter((l) => l.described === undefined && ran.has(l.id) && !used.has(l.id))
  const line = open.reduce<Line | undefined>(
    (best, l) => (!best || reach.get(l.id)!.length >= reach.get(best.id)!.length ? l : best),
    undefined,
  )
  return line && { line, because: 'largest' as const }
}

/** Says which line is what the strategy of a source found. */
export const chooseCounts: Doing<{ sourceId: string; lineId: string; why?: string }> = (
  { review },
  { sourceId, lineId, why = '' },
) =>
  review.counts?.[sourceId]?.lineId === lineId
    ? []
    : [{ kind: 'strategy.counts', payload: { sourceId, lineId, why } }]
