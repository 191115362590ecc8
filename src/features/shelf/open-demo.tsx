'use client'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { openShelf, useSession } from '@/store/session'
import { DEMO_ID, shelveDemo } from './demo'

/** Goes straight to the demo review, putting it on the shelf the first time. */
export function OpenDemo() {
  const router = useRouter()
  const [problem, setProblem] = useState<string>()
  useEffect(() => {
    void (async () => {
      await openShelf()
      const known = useSession.getState().shelf?.some((s) => s.id === DEMO_ID)
      router.replace(`/review/${known ? DEMO_ID : await shelveDemo()}/question`)
    })().catch((error: unknown) => setProblem(error instanceof Error ? error.message : String(error)))
  }, [router])
  return (
    <main className="shelf">
      {problem ? <p className="note">{problem}</p> : <p className="empty">Opening the demo review …</p>}
    </main>
  )
}
