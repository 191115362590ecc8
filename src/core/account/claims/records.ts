import type { FactContext } from '../facts'
import { finalRun, searchedIn } from '../standing'
import type { Claim } from './claim'

/** What was found and what was brought in: two facts. Then what was left after merging. */
export function records({ review, figures }: FactContext): Claim[] {
  const from = Object.keys(figures.brought)
  if (!from.length) return []
  const searched = searchedIn(review)
  const found = searched.map((s) => finalRun(review, s.id))
  const known = searched.length > 0 && found.every((r) => r !== undefined)
  const hits = found.reduce((n, r) => n + (r?.hits ?? 0), 0)
  const databases = new Set(searched.map((s) => s.id))
  const ofHits =
    known &&
    from.every((id) => databases.has(id)) &&
    hits !== figures.identified &&
    figures.flow.rounds.length < 2
  const on = from.map((id) => `import:${id}`)
  const merged: Claim[] = figures.duplicates ? [{ says: 'Merged', on }] : []
  const once: Claim[] =
    figures.foundOnce && figures.foundOnce < figures.works
      ? [{ says: 'FoundOnce', on, count: figures.foundOnce }]
      : []
  return [{ says: 'BroughtIn', on, count: figures.identified, ofHits }, ...merged, ...once]
}
