'use client'
import { useRouter } from 'next/navigation'
import { useEffect } from 'react'
import { reviewAddress } from '@/page/address'
import { startOpening } from '@/workers'

if (typeof window !== 'undefined') startOpening()

/** While the demo is put on the shelf in a worker, what it is shown with comes. */
export function Hasten(): null {
  const router = useRouter()
  useEffect(() => {
    router.prefetch(reviewAddress('demo'))
    // What fails here is asked for again when the review is shown, and told there.
    import('@/features/frame/frame').catch(() => undefined)
    import('@/features/question/question-stage').catch(() => undefined)
  }, [router])
  return null
}
