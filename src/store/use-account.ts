import { useMemo } from 'react'
import { draftAccount, type FactContext, type Passage } from '@/core/account'
import type { Review, Source } from '@/core/review'
import { LATEST, releaseWords } from '@/standins'
import { useSession } from './provider'
import { sourceInfo } from './source-info'

/** What stands in the place of a release for a database outside: how it was reached and what it covers. */
const asSearched = (review: Review, source: Source): string => {
  const run = review.runs.findLast((r) => r.sourceId === source.id)
  const platform = run?.platform || source.platform
  const coverage = run?.release || source.coverage
  return (
    [...(platform ? [`through ${platform}`] : []), ...(coverage ? [`covering ${coverage}`] : [])].join(
      ', ',
    ) || 'by hand'
  )
}

/** What the facts of the open review are read from. */
export function useFactContext(): FactContext {
  const review = useSession((s) => s.folded.review)
  const figures = useSession((s) => s.told.figures)
  const entries = useSession((s) => s.entries)
  return useMemo(
    () => ({
      review,
      figures,
      entries,
      source: (sourceId) => {
        const source = review.sources.find((s) => s.id === sourceId)
        const info = source && sourceInfo(review, source)
        if (!info?.profile) return undefined
        const { profile, vocabulary } = info
        return {
          // Before any run, the release that would be searched; of runs, each says its own.
          release: info.standin ? releaseWords(info.release ?? LATEST) : asSearched(review, info.source),
          ...(info.standin ? { releaseWords } : {}),
          hasVocabulary: vocabulary !== undefined,
          short: info.short,
          profile,
          ...(vocabulary ? { vocabularyTitle: vocabulary.title } : {}),
        }
      },
    }),
    [review, figures, entries],
  )
}

/** The account as it reads now. */
export function useAccount(): { context: FactContext; passages: Passage[] } {
  const context = useFactContext()
  return useMemo(() => ({ context, passages: draftAccount(context) }), [context])
}
