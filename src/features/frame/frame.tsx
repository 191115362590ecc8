'use client'
import { Button } from 'antd'
import Link from 'next/link'
import { useSelectedLayoutSegment } from 'next/navigation'
import { useEffect, useState, type MouseEvent, type ReactNode } from 'react'
import { openReview, openShelf, useSession } from '@/store/session'
import { arrived, useWhereabouts } from '@/store/whereabouts'
import { light, lightFacts } from '@/ui/light'
import { AccountPane } from './account-pane'
import { Course } from './course'
import { Palette } from './palette'
import { Strip } from './strip'
import { useFrameActions, useKeys } from './keys'
import { Trouble } from './trouble'

/** How long what was gone to stays lit, in milliseconds. */
const LIT = 2500

/** Shows what a fact has led to once its stage is there: scrolled into view, and lit for a moment. */
function useArrival(stage: string, open: boolean): void {
  const wanted = useWhereabouts((s) => s.wanted)
  useEffect(() => {
    if (!wanted || !open) return
    const timer = setTimeout(() => {
      document
        .querySelector(`#stage [data-anchor="${CSS.escape(wanted)}"]`)
        ?.scrollIntoView({ block: 'nearest' })
      light(wanted)
      setTimeout(() => light(undefined), LIT)
      arrived()
    }, 300)
    return () => clearTimeout(timer)
  }, [wanted, stage, open])
}

/** Pointing at a line or a number lights up the facts that come from it. */
const pointFacts = (event: MouseEvent): void =>
  lightFacts((event.target as Element).closest<HTMLElement>('[data-anchor]')?.dataset.anchor)

/** What stands around every stage: the course above, the account beside, the strip below. */
export function Frame({ reviewId, children }: { reviewId: string; children: ReactNode }) {
  const open = useSession((s) => s.reviewId === reviewId)
  const [missing, setMissing] = useState(false)
  const stage = useSelectedLayoutSegment() ?? 'question'
  useEffect(() => {
    void openShelf().then(() => openReview(reviewId).then((found) => setMissing(!found)))
  }, [reviewId])
  useArrival(stage, open)
  useFrameActions(reviewId)
  useKeys()

  if (missing)
    return (
      <main className="shelf">
        <h1>This review is not in this browser</h1>
        <p className="empty">
          Reviews stay in the browser in which they were made. If you have its package, open it from the
          shelf.
        </p>
        <Link href="/">
          <Button type="primary">To the shelf</Button>
        </Link>
      </main>
    )
  return (
    <div className="frame">
      <header>
        <Course reviewId={reviewId} stage={stage} />
      </header>
      <main id="stage" tabIndex={-1} onMouseOver={pointFacts} onMouseLeave={() => lightFacts(undefined)}>
        {open ? children : <p className="empty">Opening the review …</p>}
      </main>
      <AccountPane stage={stage} />
      <Strip />
      <Palette />
      <Trouble />
    </div>
  )
}
