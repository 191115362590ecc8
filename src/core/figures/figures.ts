import { heldValues, keptFor } from '../base'
import { knownOutside } from './known-outside'
import {
  currentRuns,
  standingImports,
  standingRuns,
  termsInUse,
  type Review,
  type Ruled,
  type Source,
} from '../review'
import {
  agreementsIn,
  flowOf,
  PASSED,
  readersOf,
  readRows,
  type Flow,
  type PassAgreement,
  type PassCounts,
  type ReadRow,
  type TallyRow,
} from '../selection'
import { countingLine } from '../strategy'
import { countOf } from './counted'
import { identifiedIn, studiesAmong, tallyOf, type Tally } from './tally'

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
  /** Known items that are not among the works, and are from years that every search left out. */
  knownOutside: number
  /** Works that one source alone has; none where there is but one source. */
  foundOnce: number
  /** The same by source. */
  onceFrom: Readonly<Record<string, number>>
  broad: PassCounts
  /** Of the full texts that are looked for or here. */
  close: PassCounts
  /** From what was identified to what is included, by round and column. */
  flow: Flow
  /** Works that readers see differently, and that nobody has settled. */
  conflicts: Readonly<Record<'broad' | 'close', number>>
  /** Works that all who read them set aside on their full text, for different reasons, unsettled. */
  reasonsDiffer: number
  /** Works that readers had seen differently, and that somebody settled. */
  settled: Readonly<Record<'broad' | 'close', number>>
  /** How far readers agree, by what each said first. */
  agreements: Readonly<Record<'broad' | 'close', PassAgreement>>
  /** Who read how many works that count as read in a pass, on which questions, in which order. */
  read: Readonly<Record<'broad' | 'close', readonly ReadRow[]>>
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
    const last = countingLine(review, id)
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

/** All figures of a review, its works and what was said of them. */
export function figuresOf(review: Review, ruled: Ruled, tally: Tally = tallyOf(review, ruled)): Figures {
  const { works } = ruled.works
  const counted = countOf(works)
  const standing = standingImports(review)
  const brought: Record<string, number> = {}
  for (const i of standing) brought[i.sourceId] = (brought[i.sourceId] ?? 0) + i.count
  const identified = standing.reduce((n, i) => n + i.count, 0)
  const superseding = new Set(review.imports.flatMap((i) => i.supersedes?.ids ?? []))
  return {
    concepts: review.concepts.length,
    terms: termsInUse(review).length,
    hits: hitsOf(review),
    searched: searchedIn(review).map((s) => s.id),
    identified,
    brought,
    superseded: review.imports.reduce((n, i) => n + (superseding.has(i.id) ? i.count : 0), 0),
    works: works.length,
    duplicates: counted.records - works.length,
    foundOnce: Object.keys(brought).length > 1 ? counted.once : 0,
    onceFrom: counted.onceFrom,
    knownFound: review.knownItems.filter((k) => ruled.works.known.has(k.id)).length,
    knownOutside: knownOutside(
      review,
      searchedIn(review).map((s) => s.id),
      ruled.works.known,
    ),
    ...placesIn(review, ruled, tally),
    readers: { broad: readersOf(ruled.byWork, 'broad'), close: readersOf(ruled.byWork, 'close') },
    pairsToSettle: ruled.works.toSettle.length,
    settledByHand: review.decisions.length,
    toSettle: heldValues(ruled.byWork).filter((own) => Object.values(own).some((r) => r.toSettle)).length,
    lostRulings: ruled.lost.length,
  }
}

/** What is told of where works are: counts of both passes, the flow, what is seen differently. */
export function placesIn(
  review: Review,
  ruled: Ruled,
  tally: Tally,
): Pick<
  Figures,
  'broad' | 'close' | 'flow' | 'conflicts' | 'reasonsDiffer' | 'settled' | 'agreements' | 'read'
> {
  const { works } = ruled.works
  const at = (...places: TallyRow['place'][]): number =>
    tally.rows.reduce((n, row) => n + (places.includes(row.place) ? row.count : 0), 0)
  const included = at('included')
  const studies = review.studies?.length ? studiesAmong(review, ruled, included) : included
  return {
    broad: {
      total: works.length,
      in: at(...PASSED),
      out: at('removed', 'set aside'),
      unsure: at('open'),
      toSettle: at('to settle'),
      left: at('unread'),
    },
    close: {
      total: at(...PASSED) - at('not had'),
      in: included,
      out: at('out'),
      unsure: at('close open'),
      toSettle: at('close to settle'),
      left: at('to be sought', 'sought'),
    },
    flow: flowOf(identifiedIn(review, works), tally.rows, studies),
    conflicts: tally.conflicts,
    reasonsDiffer: tally.reasonsDiffer,
    settled: tally.settled,
    agreements: {
      broad: agreementsIn(tally.together, 'broad'),
      close: agreementsIn(tally.together, 'close'),
    },
    read: { broad: readRows(tally.readBy, 'broad'), close: readRows(tally.readBy, 'close') },
  }
}
