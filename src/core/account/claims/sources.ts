import type { Source } from '../../review'
import type { FactContext } from '../facts'
import { finalRun, revisedBetween, searchedIn } from '../standing'
import { wasGone } from '../ways-gone'
import { daysOf, spellsOf } from '../words'
import type { Claim } from './claim'

/** Where was searched, and where it is only planned; how a source was reached, why it was taken, and when. */
export function sources(context: FactContext): Claim[] {
  const { review, source } = context
  const databases = review.sources.filter((s) => s.kind === 'database')
  const others = review.sources.filter((s) => s.kind !== 'database').flatMap((s) => otherWay(context, s))
  if (!databases.length) return others
  const done = searchedIn(review)
  const open = databases.filter((s) => !done.includes(s))
  // Said of those that were searched, in the sentence before; of a plan where nothing was.
  const indexed = (done.length ? done : databases).filter((s) => source(s.id)?.hasVocabulary)
  const ids = (list: readonly { id: string }[]): string[] => list.map((s) => s.id)
  const on = (list: readonly { id: string }[]): string[] => list.map((s) => `source:${s.id}`)
  const claims: Claim[] = []
  if (done.length) claims.push({ says: 'SourcesSearched', on: on(done), sourceIds: ids(done) })
  if (open.length)
    claims.push({ says: 'SourcesPlanned', on: on(open), sourceIds: ids(open), besides: done.length > 0 })
  if (indexed.length) claims.push({ says: 'SourcesIndexed', on: on(indexed), sourceIds: ids(indexed) })
  for (const s of databases)
    if (s.why.trim()) claims.push({ says: 'SourceChosen', on: on([s]), sourceId: s.id, reason: s.why })
  for (const s of done)
    if (s.together?.trim())
      claims.push({
        says: 'SearchedTogether',
        on: on([s]),
        sourceId: s.id,
        platform: !!s.platform?.trim(),
      })
  for (const s of done) {
    const spells = spellsOf(daysOf(review, s.id))
    const counting = finalRun(review, s.id)?.at.slice(0, 10) ?? ''
    claims.push({
      says: 'SearchedOn',
      on: on([s]),
      sourceId: s.id,
      spells: spells.length,
      revised: revisedBetween(review, s.id),
      counted: counting >= (spells.at(-1)?.first ?? '~'),
    })
  }
  return [...claims, ...others]
}

/** A way that is no database: done shows only where it brought records, or where what was done on it was noted. */
function otherWay({ review, figures }: FactContext, { id: sourceId, kind, why: reason }: Source): Claim[] {
  const on = [`source:${sourceId}`]
  const pages = (review.pages ?? []).filter((p) => p.sourceId === sourceId && p.seen)
  const done = sourceId in figures.brought || wasGone(review, sourceId)
  return [
    { says: 'OtherSource', on, sourceId, kind, done, reason },
    ...(pages.length ? [{ says: 'PagesSeen', on, sourceId, count: pages.length } satisfies Claim] : []),
  ]
}
