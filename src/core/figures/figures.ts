import { keptFor } from '../base'
import { findRecord, recordFinder } from '../records'
import {
  currentRuns,
  standingImports,
  standingRuns,
  termsInUse,
  type Review,
  type Ruled,
  type Source,
  type Work,
} from '../review'
import { passCounts, readersOf, type PassCounts } from '../selection'
import { finalLine } from '../strategy'

/** What a source found with the line that says so: its last run, which asks something else now where `stale`. */
export interface SourceHits {
  hits: number
  stale: boolean
}

/** Every number that is told of a review. Nothing else counts: course, panes, account and flow take theirs from here. */
export interface Figures {
  concepts: number
  terms: number
  /** By source of the plan; one of which nothing was run is left out. */
  hits: Readonly<Record<string, SourceHits>>
  /** Databases of the plan in which something was run, in the order of the plan. */
  searched: readonly string[]
  /** Records of the imports that stand. */
  identified: number
  /** The same by source. */
  brought: Readonly<Record<string, number>>
  /** Records of imports in whose place others stand now. */
  superseded: number
  works: number
  /** Records that stand for a work that another stands for already; of those whose records are here. */
  duplicates: number
  /** Known items that are among the works. */
  knownFound: number
  broad: PassCounts
  close: PassCounts
  /** Who has ruled, by id. */
  readers: Readonly<Record<'broad' | 'close', readonly string[]>>
  /** Pairs of works of which nobody has said yet whether they are one. */
  pairsToSettle: number
  /** Pairs of which people said that they are one work, or two. */
  settledByHand: number
  /** Works of which one reader said different things under different records. */
  toSettle: number
  /** Names under which something was ruled that mean no record which stands. */
  lostRulings: number
}

const hitsOf = keptFor((review: Review): Figures['hits'] => {
  const found: Record<string, SourceHits> = {}
  // The lines of a source that was taken out of the plan are kept, but nothing flows through them.
  for (const { id } of review.sources) {
    const last = finalLine(review.strategies[id] ?? [])
    const current = last && currentRuns(review, id).get(last.id)
    const run = current ?? review.runs.findLast((r) => r.lineId === last?.id)
    if (run) found[id] = { hits: run.hits, stale: !current }
  }
  return found
})

/** Databases of the plan in which something was run. */
export const searchedIn = keptFor((review: Review): Source[] => {
  const standing = new Set(standingRuns(review.runs).map((r) => r.sourceId))
  return review.sources.filter((s) => s.kind === 'database' && standing.has(s.id))
})

const finderOf = keptFor((works: readonly Work[]) => recordFinder(works.map((w) => w.record)))
function knownFound(review: Review, works: readonly Work[]): number {
  if (!review.knownItems.length) return 0
  const finder = finderOf(works)
  return review.knownItems.filter(
    (k) =>
      findRecord(finder, {
        title: k.title,
        ...(k.year === undefined ? {} : { year: k.year }),
        ...(k.doi === undefined ? {} : { doi: k.doi }),
      }) !== undefined,
  ).length
}

/** All figures of a review, its works and what was said of them. */
export function figuresOf(review: Review, ruled: Ruled): Figures {
  const { works } = ruled.works
  const standing = standingImports(review)
  const brought: Record<string, number> = {}
  for (const i of standing) brought[i.sourceId] = (brought[i.sourceId] ?? 0) + i.count
  const identified = standing.reduce((n, i) => n + i.count, 0)
  const superseding = new Set(review.imports.flatMap((i) => i.supersedes?.ids ?? []))
  const ids = idsOf(works)
  return {
    concepts: review.concepts.length,
    terms: termsInUse(review).length,
    hits: hitsOf(review),
    searched: searchedIn(review).map((s) => s.id),
    identified,
    brought,
    superseded: review.imports.reduce((n, i) => n + (superseding.has(i.id) ? i.count : 0), 0),
    works: works.length,
    duplicates: recordsIn(works) - works.length,
    knownFound: knownFound(review, works),
    broad: passCounts(ids, ruled.byWork, 'broad'),
    close: passCounts(ids, ruled.byWork, 'close'),
    readers: { broad: readersOf(ruled.byWork, 'broad'), close: readersOf(ruled.byWork, 'close') },
    pairsToSettle: ruled.works.toSettle.length,
    settledByHand: review.decisions.length,
    toSettle: Object.values(ruled.byWork).filter((own) => Object.values(own).some((r) => r.toSettle)).length,
    lostRulings: ruled.lost.length,
  }
}
const recordsIn = keptFor((works: readonly Work[]) => works.reduce((n, w) => n + w.records.length, 0))
const idsOf = keptFor((works: readonly Work[]) => works.map((w) => w.id))
