import { produce } from 'immer'
import { canonicalJson, digestOf, heldValues } from '../../base'
import { reachedBy } from '../../strategy'
import type { Command } from '../commands'
import { goneOver, type RunAddition } from '../gone-over'
import { kindNamed } from '../kinds'
import { plainReview } from '../plain-review'
import type { Person, Review, Run, RunEvidence } from '../values'
import { ofFirstForm, type Entry } from './entry'
import { momentsOfRuns } from './moments'

/** What a journal of the first form has to be given to go over. */
export interface GoingOver {
  /** Gives every name that was borne a person. */
  personOf: (name: string) => string
  /** The data, the profile and the vocabulary that a run of the first form met, as far as they are known. */
  evidenceOf: (run: Run) => RunEvidence
}

/** Has this journal still to go over before anything is written behind it? */
export const isToGoOver = (entries: readonly Entry[]): boolean => {
  const last = entries.at(-1)
  return last !== undefined && ofFirstForm(last)
}

/** Everybody whom a review of the first form names, in the order in which they appear. */
const namesIn = (review: Review): string[] => [
  ...new Set(
    [
      ...review.runs.map((r) => r.by),
      ...heldValues(review.rulings).flatMap((own) => Object.values(own).map((r) => r.reader)),
    ].filter((name) => name.trim() !== ''),
  ),
]

/**
 * What is written when a journal of the first form is first written to again: who its people are, each in an entry of
 * their own, and then that the journal goes over, with the digest of the state behind it and what runs did not say of
 * themselves. `state` are the bytes of that digest.
 */
export function goingOver(
  entries: readonly Entry[],
  review: Review,
  { personOf, evidenceOf }: GoingOver,
): { people: Command[]; goOver: (last: Entry) => Command; state: Uint8Array } {
  const people = new Map<string, { id: string; name: string; was: string[] }>()
  for (const name of [...new Set([...entries.map((e) => e.by), ...namesIn(review)])]) {
    if (name.trim() === '') continue
    const id = personOf(name)
    const known = people.get(id)
    if (known) known.was.push(name)
    else people.set(id, { id, name: name.slice(0, 200).trim(), was: [name] })
  }
  const runs: RunAddition[] = []
  for (const { run, lines } of momentsOfRuns(entries))
    runs.push({ id: run.id, reached: reachedBy(lines, run.lineId), evidence: evidenceOf(run) })
  const named: Command[] = [...people.values()].map((payload) => ({ kind: 'person.named', payload }))
  const behind = produce(review, (draft: Review) => {
    const written = { seq: 0, at: '', by: '' }
    for (const { kind, payload } of named) kindNamed(kind)!.apply(draft, payload, written)
    goneOver(draft, runs)
  })
  const state = new TextEncoder().encode(canonicalJson(plainReview(withoutNames(behind))))
  return {
    people: named,
    goOver: (last) => ({
      kind: 'journal.goOver',
      payload: { before: { seq: last.seq, digest: last.digest }, state: digestOf(state), runs },
    }),
    state,
  }
}

/** A review that names nobody: people are ids. */
export const withoutNames = (review: Review): Review => ({
  ...review,
  people: review.people.map(({ id }): Person => ({ id })),
})
