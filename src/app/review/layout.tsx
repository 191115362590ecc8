import { Suspense, type ReactNode } from 'react'
import { Working } from '@/features/shared/working'
import { ReviewFrame } from './review-frame'

/** Each stage is a page that is made when Luvren is built; which review it shows is known in the browser alone. */
export default function ReviewLayout({ children }: { children: ReactNode }) {
  return (
    <Working>
      <Suspense
        fallback={
          <>
            <title>Luvren</title>
            <p className="empty">Opening the review …</p>
          </>
        }
      >
        <ReviewFrame>{children}</ReviewFrame>
      </Suspense>
    </Working>
  )
}
