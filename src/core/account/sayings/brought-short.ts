import type { FactContext } from '../facts'
import { finalRun, searchedIn } from '../standing'
import { saying } from './saying'

/** Records that a search found and such of its source that were brought in, where these are fewer; undefined where they are not. */
function short({ review, figures, source }: FactContext, id: string): { most: boolean } | undefined {
  const run = finalRun(review, id)
  const brought = figures.brought[id] ?? 0
  if (!run || !brought || brought >= run.hits) return undefined
  const caps = source(id)?.profile?.caps
  const most = (caps?.exported ?? caps?.shown) === brought
  // Of one search alone the sentence on all that came in says it, but for why.
  return most || searchedIn(review).length > 1 ? { most } : undefined
}

/** Where less was brought in than a search found: how much of how much, and whether the source hands out no more. */
export const broughtShort = saying<{ id: string; most: boolean }>({
  family: 'brought in short',
  groups: (c) => searchedIn(c.review).flatMap(({ id }) => (short(c, id) ? [id] : [])),
  place: { theme: 'screened', phase: 'screened', stage: 'records' },
  finds: { when: {}, found: (c, id) => ({ id, ...short(c, id)! }) },
})
