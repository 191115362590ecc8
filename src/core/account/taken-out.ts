import { keptFor } from '../base'
import { standingImports, standingRuns, type Entry, type Review } from '../review'
import type { FactContext } from './facts'

/** A source that was searched and is no longer in the plan. */
export interface TakenOut {
  id: string
  /** What it was called; empty where no journal tells. */
  name: string
  /** The days on which it was searched. */
  days: string[]
  /** The day on which it was taken out; empty where no journal tells. */
  on: string
  /** Records that left with it, and such that stayed. */
  records: number
  stayed: number
  /** A source of this name is in the plan: searched is then what the sentence is about, not the source. */
  another: boolean
}

/** Entries that were not undone. */
const liveOf = keptFor((entries: readonly Entry[]): readonly Entry[] => {
  const gone = new Set<number>()
  for (const { kind, payload } of entries) {
    if (kind === 'undo') gone.add((payload as { seq: number }).seq)
    if (kind === 'redo') gone.delete((payload as { seq: number }).seq)
  }
  return entries.filter((e) => !gone.has(e.seq))
})
const idOf = (e: Entry): unknown => (e.payload as { id?: unknown }).id

/** The sources that were searched and taken out of the plan since, in the order of their first run. Runs stay when a source goes. */
export const takenOut = keptFor(({ review, entries = [] }: FactContext): TakenOut[] => {
  const there = new Set(review.sources.map((s) => s.id))
  const runs = standingRuns(review.runs).filter((r) => !there.has(r.sourceId))
  return [...new Set(runs.map((r) => r.sourceId))].map((id) => {
    const days = runs.filter((r) => r.sourceId === id).map((r) => r.at.slice(0, 10))
    return { id, days, stayed: stayedOf(review, id), ...goneBy(review, entries, id) }
  })
})

const stayedOf = (review: Review, id: string): number =>
  standingImports(review).reduce((n, i) => n + (i.sourceId === id ? i.count : 0), 0)

function goneBy(
  review: Review,
  entries: readonly Entry[],
  id: string,
): Pick<TakenOut, 'name' | 'on' | 'records' | 'another'> {
  const live = liveOf(entries)
  const set = live.findLast((e) => e.kind === 'source.set' && idOf(e) === id)
  const out = live.findLast((e) => e.kind === 'source.remove' && idOf(e) === id)
  const name = ((set?.payload as { name?: string } | undefined)?.name ?? '').trim()
  // What left with it left in the same deed, which bears one time.
  const left = new Set(live.flatMap((e) => (e.kind === 'import.remove' && e.at === out?.at ? [idOf(e)] : [])))
  const brought = live.flatMap((e) =>
    e.kind === 'records.import' ? [e.payload as { id: string; sourceId: string; count: number }] : [],
  )
  return {
    name,
    on: out?.at.slice(0, 10) ?? '',
    records: brought.reduce((n, i) => n + (i.sourceId === id && left.has(i.id) ? i.count : 0), 0),
    another: name !== '' && review.sources.some((s) => s.name.trim() === name),
  }
}
