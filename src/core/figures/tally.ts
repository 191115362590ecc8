import { drain, held, heldNames, keptFor } from '../base'
import {
  importOf,
  isStanding,
  workOf,
  type Import,
  type Review,
  type Ruled,
  type Work,
  type Works,
} from '../review'
import {
  ON_FULL_TEXT,
  placeOf,
  SCREENED,
  readAgainst,
  readKey,
  rulesOf,
  seenDifferently,
  togetherOf,
  type ColumnName,
  type OwnRulings,
  type Identified,
  type Placed,
  type ReadAgainst,
  type ReadCounts,
  type ReadTogether,
  type RulingRules,
  type SaidOfWork,
  type TallyRow,
} from '../selection'
import { countOf } from './counted'
import { noticesIn } from './notices'

const columnOf = (review: Pick<Review, 'sources'>, sourceId: string): ColumnName => {
  const kind = review.sources.find((s) => s.id === sourceId)?.kind
  return kind === 'database' || kind === undefined ? 'databases' : kind === 'register' ? 'registers' : 'other'
}

/** How far a full text has come: of two that are noted of one work, the one that is further counts. */
const FURTHER = ['wanted', 'not to be had', 'loan asked', 'subscription', 'open copy', 'have']

/** What is said of works beside rulings, by work. */
export function saidOfWorks(
  works: Works,
  {
    settlements,
    retrievals,
    related,
  }: {
    settlements?: Review['settlements'] | undefined
    retrievals?: Review['retrievals'] | undefined
    related?: Review['related'] | undefined
  },
): ReadonlyMap<string, SaidOfWork> {
  const said = new Map<string, SaidOfWork>()
  for (const [recordId, own] of Object.entries(settlements ?? {})) {
    const work = workOf(works.works, works.oldNames.get(recordId) ?? recordId)
    if (work) said.set(work.id, { ...said.get(work.id), settled: { ...said.get(work.id)?.settled, ...own } })
  }
  for (const [recordId, own] of Object.entries(retrievals ?? {})) {
    const work = workOf(works.works, works.oldNames.get(recordId) ?? recordId)
    if (!work) continue
    const other = said.get(work.id)?.retrieval
    if (!other || FURTHER.indexOf(own.state) >= FURTHER.indexOf(other.state))
      said.set(work.id, { ...said.get(work.id), retrieval: own })
  }
  const notices = noticesIn(works, related)
  for (const [notice, noticeOf] of notices.of) said.set(notice, { ...said.get(notice), noticeOf })
  for (const [work, own] of notices.on) said.set(work, { ...said.get(work), notices: own })
  return said
}

const importsById = keptFor((imports: readonly Import[]) => new Map(imports.map((i) => [i.id, i])))

/** By import, the round and the column of its records: the way by which a work came first. */
export const waysOf = (review: Review): ((work: Pick<Work, 'id'>) => Way) => {
  const wayOf = waysOfImports(review)
  return ({ id }) => wayOf(importOf(id))
}

type Way = Pick<TallyRow, 'roundId' | 'column'>
const waysOfImports = (review: Review): ((importId: string) => Way) => {
  const ways = new Map<string, Way>()
  return (importId) => {
    let way = ways.get(importId)
    if (!way) {
      const of = importsById(review.imports).get(importId)
      way = { roundId: of?.roundId, column: columnOf(review, of?.sourceId ?? '') }
      ways.set(importId, way)
    }
    return way
  }
}

/** Records of the imports that stand, by round and source. */
export function identifiedIn(review: Review, works: readonly Work[]): Identified[] {
  const here = countOf(works).byImport
  const found = new Map<string, Identified>()
  for (const i of review.imports) {
    if (!isStanding(review, i)) continue
    const key = JSON.stringify([i.roundId, i.sourceId])
    const known = found.get(key)
    if (known) {
      known.count += i.count
      known.here += here.get(i.id) ?? 0
    } else
      found.set(key, {
        roundId: i.roundId,
        column: columnOf(review, i.sourceId),
        sourceId: i.sourceId,
        count: i.count,
        here: here.get(i.id) ?? 0,
      })
  }
  return [...found.values()]
}

/** How many works are where, and how many are seen differently by two readers. */
export interface Tally {
  rows: readonly TallyRow[]
  conflicts: Readonly<Record<'broad' | 'close', number>>
  /** Works that all who read them set aside on their full text, for different reasons. */
  reasonsDiffer: number
  /** How many were seen differently and are settled. */
  settled: Readonly<Record<'broad' | 'close', number>>
  together: ReadTogether
  /** Who read how many works, on which questions, in which order. */
  readBy: ReadCounts
}

class Counting {
  private readonly rows: Map<string, TallyRow>
  private readonly conflicts: { broad: number; close: number }
  private readonly together: Record<string, number>
  private readonly readBy: Record<string, number>
  private readonly against: ReadAgainst
  private readonly settled: { broad: number; close: number }
  private reasonsDiffer: number
  private readonly wayOf: (importId: string) => Way
  /** Rows that were met, by their way and what they are about: a key of all of it is made once for each. */
  private readonly met = new Map<Way, Map<string, TallyRow>>()

  constructor(review: Review, from?: Tally) {
    this.rows = new Map(from?.rows.map((row) => [keyOf(row), { ...row }]))
    this.conflicts = from ? { ...from.conflicts } : { broad: 0, close: 0 }
    this.together = { ...from?.together }
    this.readBy = { ...from?.readBy }
    this.against = readAgainst(review)
    this.settled = from ? { ...from.settled } : { broad: 0, close: 0 }
    this.reasonsDiffer = from?.reasonsDiffer ?? 0
    this.wayOf = waysOfImports(review)
  }

  /** So many works of an import of which nothing was said. */
  addUnread(importId: string, count: number): void {
    if (count) this.addTo(this.wayOf(importId), UNREAD, count)
  }

  add(
    work: Pick<Work, 'id'>,
    own: OwnRulings | undefined,
    said: SaidOfWork | undefined,
    rules: RulingRules,
    by: 1 | -1,
  ): void {
    const placed = placeOf(own, said, rules)
    this.addTo(this.wayOf(importOf(work.id)), placed, by)
    for (const pass of PASSES_READ) {
      const key = READ_THERE[pass].has(placed.place) ? readKey(own, pass, this.against) : undefined
      if (key !== undefined) this.readBy[key] = (this.readBy[key] ?? 0) + by
    }
    // Somebody may settle what nobody else has ruled yet.
    for (const pass of PASSES_READ)
      if (placed[pass].settled && seenDifferently(own, pass)) this.settled[pass] += by
    for (const key of togetherOf(own, said)) this.together[key] = (this.together[key] ?? 0) + by
  }

  private addTo(way: Way, placed: Placed, by: number): void {
    const { broad, close } = placed
    this.rowOf(way, placed).count += by
    if (broad.conflict) this.conflicts.broad += by
    if (close.conflict) this.conflicts.close += by
    if (close.reasonsDiffer) this.reasonsDiffer += by
  }

  private rowOf(way: Way, { place, reason, noText, noticed }: Placed): TallyRow {
    let met = this.met.get(way)
    if (!met) this.met.set(way, (met = new Map()))
    const about = `${place}${noText ? '*' : ''}${noticed ? '!' : ''}${reason === undefined ? '' : `=${reason}`}`
    let row = met.get(about)
    if (!row) {
      const fresh: TallyRow = {
        ...way,
        place,
        reason,
        ...(noText ? { noText } : {}),
        ...(noticed ? { noticed } : {}),
        count: 0,
      }
      const key = keyOf(fresh)
      row = this.rows.get(key) ?? fresh
      this.rows.set(key, row)
      met.set(about, row)
    }
    return row
  }

  get tally(): Tally {
    const rows = [...this.rows].filter(([, r]) => r.count).sort(([a], [b]) => (a < b ? -1 : 1))
    const sorted = (counts: Readonly<Record<string, number>>): Record<string, number> =>
      Object.fromEntries(
        Object.entries(counts)
          .filter(([, n]) => n)
          .sort(([a], [b]) => (a < b ? -1 : 1)),
      )
    return {
      rows: rows.map(([, r]) => r),
      conflicts: this.conflicts,
      reasonsDiffer: this.reasonsDiffer,
      settled: this.settled,
      together: sorted(this.together),
      readBy: sorted(this.readBy),
    }
  }
}
const keyOf = ({ roundId, column, place, reason, noText, noticed }: TallyRow): string =>
  JSON.stringify([roundId, column, place, reason, noText, noticed])
const PASSES_READ = ['broad', 'close'] as const
/** Where a work is that counts as read in a pass. */
const READ_THERE: Readonly<Record<'broad' | 'close', ReadonlySet<Placed['place']>>> = {
  broad: SCREENED,
  close: ON_FULL_TEXT,
}
/** Where a work is of which nothing was said: the same by any rule. */
const UNREAD = placeOf(undefined, undefined, rulesOf({}))

/** Counts where all works are; by other rules than those of the review where they are given. */
export const tallyOf = (review: Review, ruled: Ruled, rules?: RulingRules): Tally =>
  drain(tallyInSteps(review, ruled, rules))

/** How many works are placed before the page may draw. */
const AT_ONCE = 1000

/** The same in steps. */
export function* tallyInSteps(
  review: Review,
  { works, byWork }: Ruled,
  rules: RulingRules = rulesOf(review),
): Generator<undefined, Tally> {
  const said = saidOfWorks(works, review)
  const counting = new Counting(review)
  // Most works are such ones for long of which nothing was said: they are counted by import, not one by one.
  const unread = new Map(countOf(works.works).firstBy)
  let placed = 0
  for (const id of new Set([...heldNames(byWork), ...said.keys()])) {
    const importId = importOf(id)
    unread.set(importId, unread.get(importId)! - 1)
    counting.add({ id }, held(byWork, id), said.get(id), rules, 1)
    if (++placed % AT_ONCE === 0) yield
  }
  for (const [importId, count] of unread) counting.addUnread(importId, count)
  return counting.tally
}

/** The same after what was said of some works has changed, and nothing else. */
export function tallyAfter(
  before: Tally,
  changed: readonly string[],
  review: Review,
  was: Ruled,
  is: Ruled,
): Tally {
  const said = saidOfWorks(is.works, review)
  const rules = rulesOf(review)
  const counting = new Counting(review, before)
  for (const id of changed) {
    const work = workOf(is.works.works, id)!
    counting.add(work, held(was.byWork, id), said.get(id), rules, -1)
    counting.add(work, held(is.byWork, id), said.get(id), rules, 1)
  }
  return counting.tally
}

/** How many pieces of research so many included works report: those bound as one count once. */
export function studiesAmong(review: Review, { works, byWork }: Ruled, included: number): number {
  const said = saidOfWorks(works, review)
  const rules = rulesOf(review)
  // A work that was bound twice belongs to the study it was bound to last.
  const bound = new Map<string, string>()
  for (const { id, records } of review.studies ?? [])
    for (const name of records) {
      const work = workOf(works.works, works.oldNames.get(name) ?? name)
      if (work) bound.set(work.id, id)
    }
  const members = [...bound].filter(
    ([id]) => placeOf(held(byWork, id), said.get(id), rules).place === 'included',
  )
  return included - members.length + new Set(members.map(([, study]) => study)).size
}
