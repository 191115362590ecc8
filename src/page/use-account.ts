import { draftAccount, type FactContext, type Passage } from '@/core/account'
import { keptFor } from '@/core/base'
import { useSession } from './provider'
import { useSoon } from './use-soon'
import { sourceFactsOf } from '@/standins/source-facts'
import { useYields } from './yields'

type Parts = Pick<FactContext, 'review' | 'figures' | 'entries' | 'yields'>

let last: FactContext | undefined
/** The same context for the same parts, whichever place of the page asks: what is made from it is made once for all of them. */
function contextOf(parts: Parts): FactContext {
  const { review, figures, entries, yields } = parts
  if (
    last?.review !== review ||
    last.figures !== figures ||
    last.entries !== entries ||
    last.yields !== yields
  )
    last = { ...parts, source: sourceFactsOf(review) }
  return last
}

/** What the facts of the open review are read from. */
export function useFactContext(): FactContext {
  const review = useSession((s) => s.folded.review)
  const figures = useSession((s) => s.told.figures)
  const entries = useSession((s) => s.entries)
  const yields = useYields((s) => s.yields)
  return contextOf({ review, figures, entries, yields })
}

const accountOf = keptFor((context: FactContext) => ({ context, passages: draftAccount(context) }))

/** The account as it reads now. */
export const useAccount = (): { context: FactContext; passages: Passage[] } => accountOf(useFactContext())

/** A deed is on disk within this time, in milliseconds: what it writes is drafted once, not before and after. */
const WRITTEN = 80

/**
 * The same as it reads in a moment: what was done is on the screen first, and what that writes is drawn after it. For what
 * stands beside the work and is only read.
 */
export function useAccountSoon(): { context: FactContext; passages: Passage[] } {
  const now = useFactContext()
  const soon = useSoon(now, WRITTEN)
  return accountOf(soon.review.id === now.review.id ? soon : now)
}
