import { keptFor } from '../base'
import { limitState, type Profile } from '../profile'
import { meaningOf, parse, sameLimit, walk, type LimitKind } from '../query'
import {
  standingRuns,
  type Line,
  type PlannedLimit,
  type Review,
  type Run,
  type Source,
  type Term,
} from '../review'
import { searchedIn } from '../figures'
import { finalLine, limitsThatCount, termExpression } from '../strategy'
import type { FactContext } from './facts/fact'
import { leavingOut } from './leaving-out'
import { currentRuns, joiningLine } from './runs'
import { searchedWith, type SearchedWith } from './searched-with'
import { daysOf, spellsOf } from './words'

export { searchedIn }

/** The run that counts of a source: that of the line which says what the strategy found, as it stands. */
export function finalRun(review: Review, sourceId: string): Run | undefined {
  const last = finalLine(review.strategies[sourceId] ?? [])
  return last && currentRuns(review, sourceId).get(last.id)
}

/**
 * Was the search that counts in a source made before the record was kept, with nobody here knowing what it asked? Of it a day
 * and a count are known, and nothing is told of words, limits and filters.
 */
export function strategyUnknown(review: Review, sourceId: string): boolean {
  const run = finalRun(review, sourceId)
  return run?.how === 'before' && !run.text.trim()
}

/** The databases that were searched with nobody here knowing what they were asked. */
export const searchedUnknown = (review: Review): Source[] =>
  searchedIn(review).filter((s) => strategyUnknown(review, s.id))

/** The runs of what counts in a source: of the line that does, and of those that it reached. */
export function runsBehind(review: Review, sourceId: string): Run[] {
  const run = finalRun(review, sourceId)
  if (!run) return []
  const current = currentRuns(review, sourceId)
  return [...(run.reached ?? []).flatMap(({ id }) => current.get(id) ?? []), run]
}

/** How a planned limit stands in what was really run of a source. `open`: what counts there has not been run; `unknown`:
 * nobody here knows what was asked. */
export type Applied = 'applied' | 'stood in' | 'not available' | 'not applied' | 'open' | 'unknown'

export function limitApplied(
  { review, source }: FactContext,
  planned: PlannedLimit,
  sourceId: string,
): Applied {
  if (!finalRun(review, sourceId)) return 'open'
  if (strategyUnknown(review, sourceId)) return 'unknown'
  if (limitsThatCount(review.strategies[sourceId] ?? []).some((l) => sameLimit(l, planned.limit)))
    return stateOf(planned.limit.kind, source(sourceId)?.profile) === 'stood in' ? 'stood in' : 'applied'
  return stateOf(planned.limit.kind, source(sourceId)?.profile) === 'not available'
    ? 'not available'
    : 'not applied'
}

const stateOf = (kind: LimitKind, profile: Profile | undefined): string | undefined =>
  profile && limitState(kind, profile)

/**
 * The lines that add one limit after the other to what was joined, up to the line that counts, all run as they stand.
 * Undefined where the strategy is built in another way: then no row of counts may be told.
 */
export function limitSteps(review: Review, sourceId: string): { joined: Line; steps: Line[] } | undefined {
  const lines = review.strategies[sourceId] ?? []
  const runs = currentRuns(review, sourceId)
  const joined = joiningLine(lines)
  const final = finalLine(lines)
  if (!joined || !final || joined.limits.length || !runs.has(joined.id)) return undefined
  const steps: Line[] = []
  for (let at: Line = final; at !== joined;) {
    const { tree } = parse(at.text)
    if (tree?.kind !== 'line' || !at.limits.length || !runs.has(at.id)) return undefined
    steps.unshift(at)
    const below = lines[tree.number - 1]
    if (!below || lines.indexOf(below) >= lines.indexOf(at)) return undefined
    at = below
  }
  return { joined, steps }
}

/** Dropped terms that stood in a line that was run: only these were tried. */
export const triedAndDropped = keptFor((review: Review): Term[] => {
  const said = new Set(
    review.runs.flatMap((run) => {
      const { tree } = parse(run.text)
      return tree ? [...walk(tree)].map(unitOf) : []
    }),
  )
  return review.terms.filter((t) => {
    if (t.status !== 'dropped') return false
    const own = termExpression(t)
    return own !== undefined && said.has(unitOf(own))
  })
})
/** By what a term is known in a line. */
export const unitOf = (e: Parameters<typeof meaningOf>[0]): string =>
  e.kind === 'heading' ? `heading ${e.label.toLowerCase()}` : meaningOf(e).toLowerCase()

/** Concepts of a source whose run lines have headings, and those whose run lines have words. */
export function conceptsWith(
  review: Review,
  sourceId: string,
): { headings: string[]; words: string[]; asked: string[] } {
  const runs = currentRuns(review, sourceId)
  const lines = (review.strategies[sourceId] ?? []).filter((l) => runs.has(l.id) && l.conceptId)
  const having = (kinds: readonly string[]): string[] =>
    review.concepts.flatMap((k) =>
      lines.some((l) => {
        const tree = l.conceptId === k.id ? parse(l.text).tree : undefined
        return tree !== undefined && [...walk(tree)].some((e) => kinds.includes(e.kind))
      })
        ? [k.id]
        : [],
    )
  return {
    headings: having(['heading']),
    words: having(['word', 'phrase', 'near']),
    asked: having(['heading', 'class', 'word', 'phrase', 'near']),
  }
}

/** Were the headings of a source asked for with their narrower ones? Undefined where no heading was asked for. */
export function narrowerTaken(review: Review, sourceId: string): 'all' | 'some' | 'none' | undefined {
  const runs = currentRuns(review, sourceId)
  const headings = (review.strategies[sourceId] ?? []).flatMap((l) => {
    const tree = runs.has(l.id) ? parse(l.text).tree : undefined
    return tree ? [...walk(tree)].flatMap((e) => (e.kind === 'heading' ? [e.below] : [])) : []
  })
  if (!headings.length) return undefined
  return headings.every(Boolean) ? 'all' : headings.some(Boolean) ? 'some' : 'none'
}

/** What a source was asked with by the lines that have been run as they stand. */
export function runWith({ review, source }: FactContext, sourceId: string): SearchedWith {
  const run = currentRuns(review, sourceId)
  const lines = (review.strategies[sourceId] ?? []).map((line, i) => ({ line, number: i + 1 }))
  const ran = lines.filter(({ line }) => run.has(line.id))
  const found = searchedWith(
    ran,
    source(sourceId)?.profile,
    lines.map((l) => l.line),
  )
  // What was to be left out is told as left out only where all of it was sent.
  const whole = ran.every(({ line }) => leavingOut(run.get(line.id)!).every((how) => how === 'sent'))
  return whole ? found : { ...found, leftOut: [] }
}

/** Was the strategy of a source another one when it was searched again than it had been before? */
export function revisedBetween(review: Review, sourceId: string): boolean {
  const spells = spellsOf(daysOf(review, sourceId))
  const [before, now] = spells.slice(-2)
  if (!before || !now) return false
  const lastKey = (spell: { first: string; last: string }): string | undefined => {
    const runs = standingRuns(review.runs).filter(
      (r) => r.sourceId === sourceId && r.at.slice(0, 10) >= spell.first && r.at.slice(0, 10) <= spell.last,
    )
    return runs.findLast((r) => r.number === Math.max(...runs.map((x) => x.number)))?.key
  }
  return lastKey(before) !== lastKey(now)
}
