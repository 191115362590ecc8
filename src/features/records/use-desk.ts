import { useMemo } from 'react'
import { searchOrder } from '@/core/figures'
import type { Review } from '@/core/review'
import { useSession } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { sourceInfo } from '@/standins/source-info'
import { deskReview, recordsDesk } from '@/workers'

export interface Desk {
  /** Changes with everything that the desk answers from; undefined until it has the review. */
  version: object | undefined
  works: number
  toSettle: number
  failed: string | undefined
}

/** The desk that owns the records, with the open review laid before it as it is now. */
export function useDesk(): Desk {
  const review = useSession((s) => s.folded.review)
  const { id, imports, decisions, rulings, partition, choices, groups, samePersons } = review
  const { value, failed } = useAsked(
    () =>
      recordsDesk().open(
        deskReview({ id, imports, decisions, rulings, partition, choices, groups, samePersons }),
      ),
    [id, imports, decisions, rulings, partition, choices, groups, samePersons],
    { keep: true },
  )
  return { version: value, works: value?.works ?? 0, toSettle: value?.toSettle ?? 0, failed }
}

/** What sources are called in lists, in the order in which records came from them. */
export function useSourceNames(review: Review): { order: string[]; nameOf: (id: string) => string } {
  return useMemo(() => {
    const names = new Map(review.sources.map((s) => [s.id, sourceInfo(review, s).short]))
    return { order: searchOrder(review), nameOf: (id) => names.get(id) ?? id }
  }, [review])
}
