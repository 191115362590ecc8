import { useMemo } from 'react'
import { draftAccount, type FactContext, type Passage } from '@/core/account'
import { useSession } from './provider'
import { sourceFactsOf } from '@/standins/source-facts'
import { useYields } from './yields'

/** What the facts of the open review are read from. */
export function useFactContext(): FactContext {
  const review = useSession((s) => s.folded.review)
  const figures = useSession((s) => s.told.figures)
  const entries = useSession((s) => s.entries)
  const yields = useYields((s) => s.yields)
  return useMemo(
    () => ({
      review,
      figures,
      entries,
      yields,
      source: sourceFactsOf(review),
    }),
    [review, figures, entries, yields],
  )
}

/** The account as it reads now. */
export function useAccount(): { context: FactContext; passages: Passage[] } {
  const context = useFactContext()
  return useMemo(() => ({ context, passages: draftAccount(context) }), [context])
}
