import { thousands } from '../base'
import { termsInUse, type Review, type Work } from '../review'
import { passCounts } from '../selection'
import { finalLine } from '../strategy'
import type { Stage } from './facts'
import { currentRuns } from './runs'

export interface CourseFigure {
  stage: Stage
  name: string
  value: number
  /** The figure with what it counts: "64 terms". */
  words: string
}

const counted = (n: number, one: string, many = `${one}s`): string =>
  `${thousands(n)} ${n === 1 ? one : many}`

/**
 * What flows through each stage: concepts, terms, hits of the last lines (where one has changed since, its figure says
 * so), works, works kept, facts in the account.
 */
export function courseFigures(review: Review, works: readonly Work[]): CourseFigure[] {
  const terms = termsInUse(review).length
  let hits = 0
  let stale = false
  // The lines of a source that was taken out of the plan are kept, but nothing flows through them.
  for (const { id: sourceId } of review.sources) {
    const last = finalLine(review.strategies[sourceId] ?? [])
    const current = last && currentRuns(review, sourceId).get(last.id)
    const run = current ?? review.runs.findLast((r) => r.lineId === last?.id)
    if (!run) continue
    hits += run.hits
    stale ||= !current
  }
  const kept = passCounts(
    works.map((w) => w.id),
    review.rulings,
    'broad',
  ).in
  return [
    {
      stage: 'question',
      name: 'Question',
      value: review.concepts.length,
      words: counted(review.concepts.length, 'concept'),
    },
    { stage: 'terms', name: 'Terms', value: terms, words: counted(terms, 'term') },
    { stage: 'searches', name: 'Searches', value: hits, words: stale ? 'run again' : counted(hits, 'hit') },
    { stage: 'records', name: 'Records', value: works.length, words: counted(works.length, 'work') },
    { stage: 'selection', name: 'Selection', value: kept, words: `${thousands(kept)} kept` },
    { stage: 'methods', name: 'Methods', value: kept, words: '' },
  ]
}
