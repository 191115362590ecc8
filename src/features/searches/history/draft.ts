import { addDrafts } from '@/core/doing'
import { limitState } from '@/core/profile'
import type { Review } from '@/core/review'
import { draftStrategy, type DraftSource } from '@/core/strategy'
import { draftSource } from '@/standins'
import { hasHeadings, type SourceInfo } from '@/standins/source-info'
import type { Store } from '@/store/store'

export const draftSourceOf = (info: SourceInfo): DraftSource =>
  info.standin
    ? draftSource(info.standin)
    : {
        hasVocabulary: hasHeadings(info),
        hasLimit: (kind) => !info.profile || limitState(kind, info.profile) !== 'not available',
      }

export function draftFor(review: Review, info: SourceInfo) {
  const plan = {
    concepts: review.concepts,
    alternatives: review.alternatives,
    terms: review.terms,
    limits: review.limits.map((l) => l.limit),
  }
  return draftStrategy(plan, info.source.id, draftSourceOf(info))
}

/** Drafts the strategies of all sources that have no lines yet, as one deed; gives how many were drafted. */
export async function draftEverywhere(
  store: Store,
  review: Review,
  infos: readonly SourceInfo[],
): Promise<number> {
  const drafts = infos
    .filter((info) => !(review.strategies[info.source.id] ?? []).length)
    .map((info) => ({ sourceId: info.source.id, lines: draftFor(review, info) }))
    .filter(({ lines }) => lines.length)
  await store.doIt(addDrafts, drafts)
  return drafts.length
}
