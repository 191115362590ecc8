import { held } from '@/core/base'
import { useMemo } from 'react'
import { saidOfWorks } from '@/core/figures'
import type { Review, Ruled, Work } from '@/core/review'
import { placeOf, rulesOf, type Placed, type SaidOfWork } from '@/core/selection'
import { useSession } from '@/store/provider'

export interface Selected {
  review: Review
  ruled: Ruled
  works: readonly Work[]
  said: ReadonlyMap<string, SaidOfWork>
  /** Where a work is. */
  placed: (id: string) => Placed
}

/** The works of the review with where each of them is. */
export function useSelected(): Selected {
  const told = useSession((s) => s.told)
  const { review, ruled } = told
  const { settlements, retrievals } = review
  const rules = useMemo(() => rulesOf({ selectionRules: review.selectionRules }), [review.selectionRules])
  const said = useMemo(
    () => saidOfWorks(ruled.works, { settlements, retrievals }),
    [ruled.works, settlements, retrievals],
  )
  return useMemo(
    () => ({
      review,
      ruled,
      works: ruled.works.works,
      said,
      placed: (id) => placeOf(held(ruled.byWork, id), said.get(id), rules),
    }),
    [review, ruled, said, rules],
  )
}
