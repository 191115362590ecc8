import { useRouter } from 'next/navigation'
import type { Fact } from '@/core/account'
import type { Review } from '@/core/review'
import { useSession } from './provider'
import { leadTo } from './whereabouts'
import { reviewAddress } from './address'

/** Goes to the stage of a fact and opens there what it comes from. */
export function useLeadTo(review: Review): (to: Pick<Fact, 'anchor' | 'stage'>) => void {
  const router = useRouter()
  const hereId = useSession((s) => s.reviewId)
  return ({ anchor, stage }) => {
    leadTo(review, anchor)
    router.push(reviewAddress(hereId ?? '', stage))
  }
}
