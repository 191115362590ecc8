import { useMemo } from 'react'
import { draftAccount, type FactContext, type Passage } from '@/core/account'
import { limitState } from '@/core/profile'
import { LATEST, profileOf, releaseWords, standin } from '@/standins'
import { useSession } from './session'

/** What the facts of the open review are read from. */
export function useFactContext(): FactContext {
  const review = useSession((s) => s.folded.review)
  const works = useSession((s) => s.works)
  return useMemo(
    () => ({
      review,
      works,
      source: (sourceId) => {
        const info = standin(review.sources.find((s) => s.id === sourceId)?.profileId)
        return (
          info && {
            release: releaseWords(LATEST),
            hasVocabulary: info.vocabularyTitle !== undefined,
            limit: (kind) => limitState(kind, profileOf(info)),
            ...(info.vocabularyTitle ? { vocabularyTitle: info.vocabularyTitle } : {}),
          }
        )
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
