import { drain, held } from '../base'
import {
  rulingsAfter,
  fold,
  rulingsInSteps,
  worksOf,
  type Beside,
  type ClassesAt,
  type Entry,
  type RecordsOf,
  type Review,
  type Ruled,
  type Works,
} from '../review'
import { figuresOf, placesIn, type Figures } from './figures'
import { tallyAfter, tallyInSteps, type Tally } from './tally'

/** What screens and documents tell of a review: its works, what was said of each, and every number. */
export interface Told {
  review: Review
  ruled: Ruled
  figures: Figures
  /** How many works are where, from which the counts of selection are made. */
  tally: Tally
}

/** What lies beside a journal and its figures need. */
export interface FiguresBeside extends Beside {
  recordsOf: RecordsOf
  classesAt?: ClassesAt
}

/** Tells of a review from the beginning. */
export const tell = (review: Review, works: Works): Told => drain(tellInSteps(review, works))

/** The same in steps, so that a page can draw between. */
export function* tellInSteps(review: Review, works: Works): Generator<undefined, Told> {
  return yield* toldOf(review, yield* rulingsInSteps(works, review))
}

function* toldOf(review: Review, ruled: Ruled): Generator<undefined, Told> {
  const tally = yield* tallyInSteps(review, ruled)
  yield
  return { review, ruled, figures: figuresOf(review, ruled, tally), tally }
}

/**
 * The same from what was told before: where only rulings were made since, only the works they are of are counted anew.
 * Always equal to telling from the beginning.
 */
export function tellOn(before: Told | undefined, review: Review, works: Works): Told {
  if (!before || before.ruled.works !== works || before.review.samePersons !== review.samePersons)
    return tell(review, works)
  if (before.review === review) return before
  const { ruled, changed } = rulingsAfter(before.ruled, review.rulings)
  if (!samePlaces(before.review, review)) return drain(toldOf(review, ruled))
  const tally = tallyAfter(before.tally, changed, review, before.ruled, ruled)
  if (!onlyRulingsDiffer(before.review, review))
    return { review, ruled, tally, figures: figuresOf(review, ruled, tally) }
  const readers = (pass: 'broad' | 'close'): readonly string[] =>
    readersAfter(before.figures.readers[pass], changed, before.ruled, ruled, pass) ??
    figuresOf(review, ruled, tally).readers[pass]
  const settling = (of: Ruled): number =>
    changed.filter((id) => Object.values(held(of.byWork, id) ?? {}).some((r) => r.toSettle)).length
  return {
    review,
    ruled,
    tally,
    figures: {
      ...before.figures,
      ...placesIn(review, ruled, tally),
      readers: { broad: readers('broad'), close: readers('close') },
      toSettle: before.figures.toSettle - settling(before.ruled) + settling(ruled),
      lostRulings: ruled.lost.length,
    },
  }
}

/** Beside works and rulings, where a work is, and how it was read, follows from these parts alone. */
const samePlaces = (a: Review, b: Review): boolean =>
  (
    [
      'settlements',
      'retrievals',
      'related',
      'selectionRules',
      'sources',
      'imports',
      'criteria',
      'orders',
    ] as const
  ).every((k) => a[k] === b[k])

const onlyRulingsDiffer = (a: Review, b: Review): boolean =>
  (Object.keys({ ...a, ...b }) as (keyof Review)[]).every((k) => k === 'rulings' || a[k] === b[k])

/** The readers after a change that took no ruling away; undefined where one may have gone. */
function readersAfter(
  before: readonly string[],
  changed: readonly string[],
  a: Ruled,
  b: Ruled,
  pass: 'broad' | 'close',
): readonly string[] | undefined {
  const of = (ruled: Ruled, id: string): string[] =>
    Object.values(held(ruled.byWork, id) ?? {}).flatMap((r) => (r.pass === pass ? [r.reader] : []))
  const names = new Set(before)
  for (const id of changed) {
    const now = of(b, id)
    if (of(a, id).some((reader) => !now.includes(reader))) return undefined
    for (const reader of now) names.add(reader)
  }
  return names.size === before.length ? before : [...names].sort()
}

/**
 * The figures as they were behind entry `upTo` (of the entries here), with the partition that was in force then. Pure,
 * and the only source of numbers for whatever is checked or printed.
 */
export const figuresAt = (entries: readonly Entry[], upTo: number, beside: FiguresBeside): Figures =>
  toldAt(entries, upTo, beside).figures

/** The same with the review and its works as they stood then. */
export function toldAt(entries: readonly Entry[], upTo: number, beside: FiguresBeside): Told {
  const first = entries[0]?.seq ?? 0
  const { review } = fold(entries.slice(0, upTo - first + 1), beside)
  return tell(review, worksOf(review, beside.recordsOf, beside.classesAt))
}
