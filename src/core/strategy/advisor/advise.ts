import type { DocSet } from '../../engine'
import {
  askOptional,
  laterYears,
  mainFocus,
  nearInstead,
  plannedLimit,
  titleOnly,
  withoutNarrower,
} from './fewer'
import {
  allFields,
  anyFocus,
  dropConcept,
  dropLimit,
  harvested,
  loosenPhrases,
  plannedTerms,
  truncate,
  withNarrower,
} from './more'
import type { Step, StepContext, StepLine, StepMaker } from './step'

export const STEP_MAKERS: readonly StepMaker[] = [
  titleOnly,
  nearInstead,
  askOptional,
  mainFocus,
  withoutNarrower,
  plannedLimit,
  laterYears,
  plannedTerms,
  harvested,
  withNarrower,
  anyFocus,
  truncate,
  loosenPhrases,
  allFields,
  dropConcept,
  dropLimit,
]

/** A step with what it would leave: hits of the last line, and how many wanted records are among them. */
export interface CountedStep extends Step {
  hits: number
  wanted: number
}

export interface Advised {
  /** As the strategy stands; undefined where its last line cannot be run. */
  now: { hits: number; wanted: number } | undefined
  fewer: CountedStep[]
  more: CountedStep[]
}

/**
 * What to do with too many or too few: every step that changes the count, with the count it would give, computed
 * beforehand. `find` gives what the last line of a strategy finds. Steps to fewer come first that lose no wanted
 * record, then by how few they leave; steps to more first that bring wanted records, then by how few they add.
 * One generator step for each candidate, so that the caller may show progress or stop.
 */
export function* adviseSteps(
  context: StepContext,
  find: (lines: readonly StepLine[]) => DocSet | undefined,
  wanted: ReadonlySet<number>,
): Generator<{ done: number; of: number }, Advised> {
  const count = (docs: DocSet): { hits: number; wanted: number } => ({
    hits: docs.length,
    wanted: docs.reduce((n, d) => n + (wanted.has(d) ? 1 : 0), 0),
  })
  const base = find(context.lines)
  const now = base && count(base)
  const fewer: CountedStep[] = []
  const more: CountedStep[] = []
  const steps = base ? STEP_MAKERS.flatMap((make) => make(context)) : []
  for (const [i, step] of steps.entries()) {
    const docs = find(step.lines)
    if (docs && step.direction === 'fewer' && docs.length < now!.hits) fewer.push({ ...step, ...count(docs) })
    if (docs && step.direction === 'more' && docs.length > now!.hits) more.push({ ...step, ...count(docs) })
    yield { done: i + 1, of: steps.length }
  }
  fewer.sort((a, b) => b.wanted - a.wanted || a.hits - b.hits)
  more.sort((a, b) => b.wanted - a.wanted || a.hits - b.hits)
  return { now, fewer, more }
}
