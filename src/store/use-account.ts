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

/** The release of the latest run of a source; before any, the one that would be searched. */
const releaseRun = (review: Review, sourceId: string): string =>
  review.runs.findLast((r) => r.sourceId === sourceId)?.release || LATEST

/** What the facts of the open review are read from. */
export function useFactContext(): FactContext {
  const review = useSession((s) => s.folded.review)
  const works = useSession((s) => s.works)
  return useMemo(
    () => ({
      review,
      works,
      source: (sourceId) => {
        const source = review.sources.find((s) => s.id === sourceId)
        const info = source && sourceInfo(review, source)
        if (!info?.profile) return undefined
        const { profile, vocabulary } = info
        return {
          release: info.standin
            ? releaseWords(releaseRun(review, sourceId))
            : asSearched(review, info.source),
          hasVocabulary: vocabulary !== undefined,
          profile,
          ...(vocabulary ? { vocabularyTitle: vocabulary.title } : {}),
        }
      },
    }),
    [review, works],
  )
}

/** The account as it reads now. */
export function useAccount(): { context: FactContext; passages: Passage[] } {
  const context = useFactContext()
  return useMemo(() => ({ context, passages: draftAccount(context) }), [context])
}
