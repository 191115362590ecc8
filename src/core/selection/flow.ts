import type { Place } from './place'

/** Where records come from, as PRISMA 2020 parts it: databases and registers, and other ways. */
export const COLUMNS = ['databases', 'registers', 'other'] as const
export type ColumnName = (typeof COLUMNS)[number]

/** How many works are at a place for a reason, of those of one round and column. */
export interface TallyRow {
  roundId: string | undefined
  column: ColumnName
  place: Place
  reason: string | undefined
  /** They were ruled on a full text, and none is noted as had. */
  noText?: true
  /** A notice on them is among the records: a retraction, a correction. */
  noticed?: true
  count: number
}

export interface Reason {
  /** The id of a question, "words:" and words, or "none". */
  reason: string
  count: number
}

/** The way of the records of one column, from what was identified to what is included. */
export interface FlowColumn {
  column: ColumnName
  /** Records by source, in the order of the plan. */
  sources: { sourceId: string; count: number }[]
  identified: number
  /** Records of which this browser has lost what they say: nothing can be told of them. */
  missing: number
  /** Records of works that another record stands for already, in this column or another. */
  duplicates: number
  /** Works that came this way first. */
  works: number
  /** Out before anybody read them. */
  removed: number
  removedReasons: Reason[]
  /** On title and abstract. */
  screened: number
  unread: number
  setAside: number
  setAsideReasons: Reason[]
  open: number
  toSettle: number
  /** Full texts that are to be sought: all that passed titles and abstracts. */
  sought: number
  notHad: number
  /** Those of them that nobody has looked for yet. */
  notLooked: number
  /** Full texts that are looked for, or are here and not ruled. */
  awaited: number
  assessed: number
  /** Those of them of which no text is noted as had. */
  noText: number
  closeOpen: number
  closeToSettle: number
  out: number
  outReasons: Reason[]
  included: number
}

export interface FlowRound {
  roundId: string | undefined
  /** Only those in which something was identified. */
  columns: FlowColumn[]
  included: number
}

export interface Flow {
  /** In the order in which they were begun. */
  rounds: FlowRound[]
  /** Works that are included, of all rounds. */
  included: number
  /** Pieces of research that they report. */
  studies: number
  /** Included works on which there is a notice among the records; absent: none. */
  noticed?: number
}

/** Records of one round, by the source they came from. */
export interface Identified {
  roundId: string | undefined
  column: ColumnName
  sourceId: string
  count: number
  /** Those of them that are in this browser. */
  here: number
}

/** The flow behind what was identified and where each work is. Sums are made here and nowhere else. */
export function flowOf(identified: readonly Identified[], tally: readonly TallyRow[], studies: number): Flow {
  const rounds = [...new Set(identified.map((i) => i.roundId))]
  const made = rounds.map((roundId): FlowRound => {
    const columns = COLUMNS.flatMap((column) => {
      const from = identified.filter((i) => i.roundId === roundId && i.column === column)
      return from.length
        ? [
            columnOf(
              column,
              from,
              tally.filter((t) => t.roundId === roundId && t.column === column),
            ),
          ]
        : []
    })
    return { roundId, columns, included: sum(columns.map((c) => c.included)) }
  })
  const noticed = sum(tally.filter((t) => t.noticed).map((t) => t.count))
  return {
    rounds: made,
    included: sum(made.map((r) => r.included)),
    studies,
    ...(noticed ? { noticed } : {}),
  }
}

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0)

function columnOf(column: ColumnName, from: readonly Identified[], tally: readonly TallyRow[]): FlowColumn {
  const at = (...places: Place[]): number =>
    sum(tally.filter((t) => places.includes(t.place)).map((t) => t.count))
  const reasons = (place: Place): Reason[] => {
    const counts = new Map<string, number>()
    for (const { place: where, reason = 'none', count } of tally)
      if (where === place && count > 0) counts.set(reason, (counts.get(reason) ?? 0) + count)
    return [...counts]
      .map(([reason, count]) => ({ reason, count }))
      .sort((a, b) => b.count - a.count || (a.reason < b.reason ? -1 : 1))
  }
  const identified = sum(from.map((f) => f.count))
  const here = sum(from.map((f) => f.here))
  const works = sum(tally.map((t) => t.count))
  const assessed = at('close open', 'close to settle', 'out', 'included')
  return {
    column,
    sources: from.map(({ sourceId, count }) => ({ sourceId, count })),
    identified,
    missing: identified - here,
    duplicates: here - works,
    works,
    removed: at('removed'),
    removedReasons: reasons('removed'),
    screened: works - at('removed', 'unread'),
    unread: at('unread'),
    setAside: at('set aside'),
    setAsideReasons: reasons('set aside'),
    open: at('open'),
    toSettle: at('to settle'),
    sought: at('to be sought', 'sought', 'not had') + assessed,
    notHad: at('not had'),
    notLooked: at('to be sought'),
    awaited: at('sought'),
    assessed,
    noText: sum(tally.filter((t) => t.noText).map((t) => t.count)),
    closeOpen: at('close open'),
    closeToSettle: at('close to settle'),
    out: at('out'),
    outReasons: reasons('out'),
    included: at('included'),
  }
}

/**
 * What of a column does not add up, each as words; empty where everything does (law 5). A figure is drawn only of a flow
 * of which nothing is said here.
 */
export function faultsOf(c: FlowColumn): string[] {
  const laws: [string, number, number][] = [
    ['records identified', c.identified, c.missing + c.duplicates + c.works],
    ['records of sources', c.identified, sum(c.sources.map((s) => s.count))],
    ['works', c.works, c.removed + c.unread + c.screened],
    ['works screened', c.screened, c.setAside + c.open + c.toSettle + c.sought],
    ['full texts to be sought', c.sought, c.notHad + c.notLooked + c.awaited + c.assessed],
    ['full texts read', c.assessed, c.closeOpen + c.closeToSettle + c.out + c.included],
    ['reasons of the close pass', c.out, sum(c.outReasons.map((r) => r.count))],
    ['reasons of the broad pass', c.setAside, sum(c.setAsideReasons.map((r) => r.count))],
  ]
  const wrong = laws.flatMap(([what, is, parts]) =>
    is === parts ? [] : [`${what}: ${is}, and ${parts} in parts`],
  )
  return c.duplicates < 0 ? [...wrong, 'more works than records'] : wrong
}

/** Works that stand between two boxes of the figure, because nobody has decided about them yet. */
export const undecided = (c: FlowColumn): number =>
  c.unread + c.open + c.toSettle + c.notLooked + c.awaited + c.closeOpen + c.closeToSettle
