import { standsInside } from '../reasons-given'
import type { FactContext } from '../facts'
import { searchedIn } from '../standing'
import { saying } from './saying'

/** Databases that were taken for the same reason. */
export interface ChosenFor {
  sourceIds: string[]
  reason: string
}

interface Chosen {
  /** At most two reasons in a sentence. */
  reasons: ChosenFor[]
  /** There is but one database. */
  only: boolean
  /** The first, second, … sentence. */
  nth: number
}

/** Reasons that were given, those of most databases first. */
function reasonsOf({ review }: FactContext): ChosenFor[] {
  const all: ChosenFor[] = []
  for (const { id, kind, why } of review.sources) {
    const reason = why.trim().replace(/\.$/, '')
    if (kind !== 'database' || !reason) continue
    const same = all.find((r) => r.reason === reason)
    if (same) same.sourceIds.push(id)
    else all.push({ sourceIds: [id], reason })
  }
  return all.sort((a, b) => b.sourceIds.length - a.sourceIds.length)
}

/** Two that stand inside a sentence are one sentence; one of several sentences stands for itself. */
function sentencesOf(c: FactContext): ChosenFor[][] {
  const all = reasonsOf(c)
  const fitting = all.filter((r) => standsInside(r.reason))
  return [
    ...fitting.flatMap((_, n) => (n % 2 ? [] : [fitting.slice(n, n + 2)])),
    ...all.filter((r) => !standsInside(r.reason)).map((r) => [r]),
  ]
}

/** Why databases were taken, as it was given. */
export const chosen = saying<Chosen>({
  family: 'why these databases',
  groups: (c) => sentencesOf(c).map((reasons) => reasons.flatMap((r) => r.sourceIds).join('+')),
  place: { theme: 'where', phase: 'planned', stage: 'question' },
  finds: {
    when: {},
    found: (c, of) => {
      const all = sentencesOf(c)
      const nth = all.findIndex((reasons) => reasons.flatMap((r) => r.sourceIds).join('+') === of)
      const databases = c.review.sources.filter((s) => s.kind === 'database')
      const only = databases.length === 1
      return { reasons: all[nth] ?? [], only: only && searchedIn(c.review).length < 2, nth }
    },
  },
})
