'use client'
import { messageOf } from '@/core/base'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { useStore } from '@/page/provider'
import { LackingData } from '../shared/lacking-data'
import { DEMO_ID, shelveDemo } from './demo'
import { reviewAddress } from '@/page/address'

/** Goes straight to the demo review, putting it on the shelf the first time. */
export function OpenDemo() {
  const store = useStore()
  const { deed, openShelf, session } = store
  const router = useRouter()
  const [problem, setProblem] = useState<string>()
  useEffect(() => {
    deed(
      (async () => {
        await openShelf()
        const known = session.getState().shelf?.some((s) => s.id === DEMO_ID)
        router.replace(reviewAddress(known ? DEMO_ID : await shelveDemo(store)))
      })().catch((error: unknown) => setProblem(messageOf(error))),
    )
  }, [deed, openShelf, router, session, store])
  return (
    <main className="shelf">
      <LackingData />
      {problem ? <p className="note">{problem}</p> : <p className="empty">Opening the demo review …</p>}
    </main>
  )
}
