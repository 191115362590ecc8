import type { FactContext } from '../facts'
import { finalRun, searchedIn } from '../standing'
import type { Say } from './say'

/** What was found and what was brought in: two facts. Then what was left after merging. */
export function records({ review, figures }: FactContext, _say: Say): string[] {
  const { identified: brought } = figures
  if (!Object.keys(figures.brought).length) return []
  const searched = searchedIn(review)
  const found = searched.map((s) => finalRun(review, s.id))
  const known = searched.length > 0 && found.every((r) => r !== undefined)
  const hits = found.reduce((n, r) => n + (r?.hits ?? 0), 0)
  const databases = new Set(searched.map((s) => s.id))
  const all = Object.keys(figures.brought).every((id) => databases.has(id))
  const first =
    known && all && hits !== brought
      ? `The searches found {hits.total}, and {records.identified} ${brought === 1 ? 'was' : 'were'} brought in.`
      : `In all, {records.identified} ${brought === 1 ? 'was' : 'were'} brought in.`
  return [
    figures.duplicates ? `${first} After {records.duplicates} had been merged, {works} remained.` : first,
  ]
}
