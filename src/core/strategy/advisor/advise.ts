import { wilson } from '../../base'
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
  remarked,
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
  remarked,
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
 * record, then by how few they leave. Steps to more that bring nothing wanted and hardly anything else are left out; first come
 * those whose additions are wanted most surely, and last those that undo what was decided: limits, and concepts asked for.
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
    if (docs && step.direction === 'more' && isWorth(count(docs), now!))
      more.push({ ...step, ...count(docs) })
    yield { done: i + 1, of: steps.length }
  }
  fewer.sort((a, b) => b.wanted - a.wanted || a.hits - b.hits)
  const sure = (s: CountedStep): number =>
    s.wanted > now!.wanted ? wilson(s.wanted - now!.wanted, s.hits - now!.hits).from : 0
  more.sort(
    (a, b) => Number(UNDOES.has(a.code)) - Number(UNDOES.has(b.code)) || sure(b) - sure(a) || a.hits - b.hits,
  )
  return { now, fewer, more: different(more) }
}

/** Steps that take back what was decided in the plan or by a limit. */
const UNDOES: ReadonlySet<string> = new Set(['drop-limit', 'drop-concept'])

type Count = { hits: number; wanted: number }

/** Of what is found now; fewer new records, none of them wanted, are not worth a step. */
const LEAST_PART = 0.01

const isWorth = (after: Count, now: Count): boolean =>
  after.hits > now.hits && (after.wanted > now.wanted || after.hits - now.hits >= LEAST_PART * now.hits)

/** Two makers may come to the same lines; the first is kept. */
const different = (steps: readonly CountedStep[]): CountedStep[] =>
  [
    ...new Map(
      steps.toReversed().map((s) => [JSON.stringify(s.lines.map((l) => [l.text, l.limits])), s]),
    ).values(),
  ].toReversed()
