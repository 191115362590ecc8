import { limitState } from '../../profile'
import type { Source } from '../../review'
import { limitsThatCount } from '../../strategy'
import type { FactContext } from '../facts'
import { joinOf } from '../joins'
import { currentRuns, joiningLine } from '../runs'
import { conceptsWith, finalRun, narrowerTaken, runWith } from '../standing'
import type { Claim } from './claim'

/** How each database was searched, as far as it was run as it stands. */
export function searches(context: FactContext): Claim[] {
  const { review } = context
  return review.sources.flatMap((s): Claim[] => {
    const lines = review.strategies[s.id] ?? []
    if (s.kind !== 'database' || !lines.length || !currentRuns(review, s.id).size) return []
    const on = [...currentRuns(review, s.id).values()].map((r) => `run:${r.id}`)
    return [
      searchedWith(context, s, on),
      ...joined(context, s, on),
      ...leftOut(context, s, on),
      ...tookOver(context, s),
      ...stoodIn(context, s, on),
      ...described(context, s),
      ...missing(context, s),
    ]
  })
}

function searchedWith(context: FactContext, { id: sourceId }: Source, on: string[]): Claim {
  const asked = runWith(context, sourceId)
  const of = conceptsWith(context.review, sourceId)
  return {
    says: 'SearchedWith',
    on,
    sourceId,
    headings: asked.headings,
    narrower: narrowerTaken(context.review, sourceId),
    headingConcepts: of.headings,
    codes: asked.codes,
    words: asked.fields.length > 0,
    wordConcepts: of.words,
    asked: of.asked,
    nearnessLost: asked.nearnessLost,
  }
}

/** How the lines were joined, read from what they say; and what that gave, where it was run. */
function joined({ review }: FactContext, { id: sourceId }: Source, on: string[]): Claim[] {
  const lines = review.strategies[sourceId] ?? []
  const join = joinOf(
    lines,
    review.concepts.map((k) => k.id),
  )
  const joining = joiningLine(lines)
  // What was set and not run is no deed.
  if (!join || !joining || !currentRuns(review, sourceId).has(joining.id)) return []
  return [{ says: 'Joined', on, sourceId, join, counted: !joining.limits.length }]
}

/** What lines that were run as they stand took over, by name. */
const tookOver = ({ review }: FactContext, { id: sourceId }: Source): Claim[] =>
  (review.strategies[sourceId] ?? []).flatMap((line): Claim[] => {
    const run = currentRuns(review, sourceId).get(line.id)
    if (!run || !line.takenOver) return []
    return [{ says: 'TookOver', on: [`run:${run.id}`], sourceId, ...line.takenOver }]
  })

const leftOut = (context: FactContext, { id: sourceId }: Source, on: string[]): Claim[] =>
  runWith(context, sourceId).leftOut.length ? [{ says: 'LeftOut', on, sourceId }] : []

/** What stood in for limits that the database does not have, of those that hold for what was found. */
function stoodIn(context: FactContext, { id: sourceId }: Source, on: string[]): Claim[] {
  const { review } = context
  if (!finalRun(review, sourceId)) return []
  const profile = context.source(sourceId)?.profile
  const kinds = new Set(limitsThatCount(review.strategies[sourceId] ?? []).map((l) => l.kind))
  return [...kinds].flatMap((kind): Claim[] => {
    const by = profile?.limits[kind]?.standIn
    return by ? [{ says: 'StoodIn', on, sourceId, kind, by }] : []
  })
}

/** A search without text: what was done stands as it was noted, beginning with a verb. */
function described({ review }: FactContext, { id: sourceId }: Source): Claim[] {
  const runs = currentRuns(review, sourceId)
  return (review.strategies[sourceId] ?? []).flatMap((l): Claim[] => {
    const run = runs.get(l.id)
    return l.described && run
      ? [{ says: 'WithoutQuery', on: [`run:${run.id}`], sourceId, lineId: l.id, deed: l.described }]
      : []
  })
}

/** Planned limits that the database does not have, by its description; one that a line sets all the same is not named. */
function missing({ review, source }: FactContext, { id: sourceId }: Source): Claim[] {
  const profile = source(sourceId)?.profile
  const set = new Set((review.strategies[sourceId] ?? []).flatMap((l) => l.limits.map((x) => x.kind)))
  const kinds = [...new Set(review.limits.map((l) => l.limit.kind))].filter(
    (k) => profile && limitState(k, profile) === 'not available' && !set.has(k),
  )
  return kinds.length ? [{ says: 'LimitNotAvailable', on: [`source:${sourceId}`], sourceId, kinds }] : []
}
