import type { FactContext } from '../facts'
import { searchedIn } from '../standing'
import type { Claim, Claims } from './claim'

/** Where was searched, and where it is only planned; how a source was reached, why it was taken, and when. */
export function sources({ review, source, figures }: FactContext): Claims {
  const databases = review.sources.filter((s) => s.kind === 'database')
  const others = review.sources
    .filter((s) => s.kind !== 'database')
    .map((s): Claim => ({
      says: 'OtherSource',
      on: [`source:${s.id}`],
      sourceId: s.id,
      kind: s.kind,
      // Done shows in the verb: only what brought records was done for certain.
      done: s.id in figures.brought,
      reason: s.why,
    }))
  if (!databases.length) return [others]
  const done = searchedIn(review)
  const open = databases.filter((s) => !done.includes(s))
  const indexed = databases.filter((s) => source(s.id)?.hasVocabulary)
  const ids = (list: readonly { id: string }[]): string[] => list.map((s) => s.id)
  const on = (list: readonly { id: string }[]): string[] => list.map((s) => `source:${s.id}`)
  const claims: Claim[] = []
  if (done.length) claims.push({ says: 'SourcesSearched', on: on(done), sourceIds: ids(done) })
  if (open.length)
    claims.push({ says: 'SourcesPlanned', on: on(open), sourceIds: ids(open), besides: done.length > 0 })
  if (indexed.length) claims.push({ says: 'SourcesIndexed', on: on(indexed), sourceIds: ids(indexed) })
  for (const s of databases)
    if (s.platform || s.coverage)
      claims.push({
        says: 'SourceReached',
        on: on([s]),
        sourceId: s.id,
        platform: Boolean(s.platform),
        coverage: Boolean(s.coverage),
      })
  for (const s of databases)
    if (s.why.trim()) claims.push({ says: 'SourceChosen', on: on([s]), sourceId: s.id, reason: s.why })
  for (const s of done) claims.push({ says: 'SearchedOn', on: on([s]), sourceId: s.id })
  return [claims, others]
}
