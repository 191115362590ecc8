import { useRouter } from 'next/navigation'
import type { Fact } from '@/core/account'
import type { Review } from '@/core/review'
import { leadTo } from './whereabouts'

/** Goes to the stage of a fact and opens there what it comes from. */
export function useLeadTo(review: Review): (to: Pick<Fact, 'anchor' | 'stage'>) => void {
  const router = useRouter()
  return ({ anchor, stage }) => {
    leadTo(review, anchor)
    router.push(`/review/${review.id}/${stage}`)
  }
}
