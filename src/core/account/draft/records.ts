import type { FactContext } from '../facts'
import { finalRun, searchedIn } from '../standing'
import type { Say } from './say'

/** What was found and what was brought in: two facts. Then what was left after merging. */
export function records({ review, works }: FactContext, _say: Say): string[] {
  if (!review.imports.length) return []
  const brought = review.imports.reduce((n, i) => n + i.count, 0)
  const searched = searchedIn(review)
  const found = searched.map((s) => finalRun(review, s.id))
  const known = searched.length > 0 && found.every((r) => r !== undefined)
  const hits = found.reduce((n, r) => n + (r?.hits ?? 0), 0)
  const databases = new Set(searched.map((s) => s.id))
  const all = review.imports.every((i) => databases.has(i.sourceId))
  const first =
    known && all && hits !== brought
      ? `The searches found {hits.total}, and {records.identified} ${brought === 1 ? 'was' : 'were'} brought in.`
      : `In all, {records.identified} ${brought === 1 ? 'was' : 'were'} brought in.`
  return [
    brought > works.length ? `${first} After {records.duplicates} had been merged, {works} remained.` : first,
  ]
}
