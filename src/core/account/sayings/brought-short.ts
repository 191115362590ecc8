import { standingImports, type Review, type Run } from '../../review'
import type { FactContext } from '../facts'
import { finalRun, searchedIn } from '../standing'
import { saying } from './saying'

/** Did all records of a source come of this run, or of one that it corrects? Of others it is not known whether it found them. */
function allOf(review: Review, run: Run): boolean {
  const ids = new Set<string>()
  for (let at: Run | undefined = run; at && !ids.has(at.id);) {
    ids.add(at.id)
    const wrong: string | undefined = at.supersedes
    at = review.runs.find((r) => r.id === wrong)
  }
  return standingImports(review).every(
    (i) => i.sourceId !== run.sourceId || (i.runId !== undefined && ids.has(i.runId)),
  )
}

interface Short {
  id: string
  brought: number
  /** It hands out no more. */
  most: boolean
  /** By which order they are the first; empty where nobody said. */
  rankedBy: string
}

/** Records that a search found and such of its source that were brought in, where these are fewer; undefined where they are not. */
function short({ review, figures, source }: FactContext, id: string): Omit<Short, 'id'> | undefined {
  const run = finalRun(review, id)
  const brought = figures.brought[id] ?? 0
  if (!run || !brought || brought >= run.hits || !allOf(review, run)) return undefined
  const caps = source(id)?.profile?.caps
  const most = (caps?.exported ?? caps?.shown) === brought
  // Of one search alone the sentence on all that came in says it, but for why.
  // By which order those were the first; told where it was noted of all of them, and as the same.
  const ranked = standingImports(review).flatMap((i) =>
    i.sourceId === id ? [i.of?.rankedBy.trim() ?? ''] : [],
  )
  const rankedBy = ranked.every((by) => by === ranked[0]) ? (ranked[0] ?? '') : ''
  return most || rankedBy || searchedIn(review).length > 1 ? { most, rankedBy, brought } : undefined
}

/** Where less was brought in than a search found: how much of how much, whether the source hands out no more, by which ranking. */
export const broughtShort = saying<Short>({
  family: 'brought in short',
  groups: (c) => searchedIn(c.review).flatMap(({ id }) => (short(c, id) ? [id] : [])),
  place: { theme: 'screened', phase: 'screened', stage: 'records' },
  finds: { when: {}, found: (c, id) => ({ id, ...short(c, id)! }) },
})
