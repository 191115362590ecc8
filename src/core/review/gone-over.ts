import { heldEntries, hold } from '../base'
import type { ReachedLine, Review, RunEvidence } from './values'

/** What a run of the first form did not say of itself. */
export interface RunAddition {
  id: string
  reached: ReachedLine[]
  evidence: RunEvidence
}

/**
 * Changes a review that was read from entries of the first form into one of the second: people are ids, runs know the
 * lines that they reached. A name that no person bore stays what it is.
 */
export function goneOver(review: Review, runs: readonly RunAddition[]): void {
  const ids = new Map(review.people.flatMap((p) => (p.was ?? []).map((name) => [name, p.id])))
  const idOf = (name: string): string => ids.get(name) ?? name
  const additions = new Map(runs.map((r) => [r.id, r]))
  for (const run of review.runs) {
    const more = additions.get(run.id)
    run.by = idOf(run.by)
    if (more) Object.assign(run, { keyRule: 0, reached: more.reached, evidence: more.evidence })
  }
  for (const [recordId, own] of heldEntries(review.rulings)) {
    const named = Object.values(own).map((r) => {
      const reader = idOf(r.reader)
      return [`${r.pass}/${reader}`, { ...r, reader }] as const
    })
    hold(review.rulings, recordId, Object.fromEntries(named))
  }
}
