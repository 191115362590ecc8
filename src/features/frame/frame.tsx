'use client'
import { Button } from 'antd'
import Link from 'next/link'
import { useRouter, useSelectedLayoutSegment } from 'next/navigation'
import { useDeferredValue, useEffect, useState, type MouseEvent, type ReactNode } from 'react'
import { readingCopy } from '@/core/selection'
import { reviewAddress } from '@/page/address'
import { readOwnKeys, useRegistry } from '@/page/actions'
import { FAULT_WORDS } from '@/store/fault-words'
import { useSession, useStore } from '@/page/provider'
import { dropHandedIn } from '@/page/handed-in'
import { arrived, leaveAll, useWhereabouts } from '@/page/whereabouts'
import { later } from '@/ui/later'
import { light, lightFacts } from '@/ui/light'
import { Course } from './course'
import { KeysDialog } from './keys-dialog'
import { LeftUnfinished } from './left-unfinished'
import { NameDialog } from './name-dialog'
import { HandOnDialog } from '../shared/hand-on/hand-on-dialog'
import { Palette } from './palette'
import { ReadingHead } from './reading-head'
import { Strip } from './strip'
import { useFocusHome } from './focus-home'
import { useBoundedPaste } from './use-bounded-paste'
import { useFrameActions, useKeys } from './keys'
import { Trouble } from './trouble'
import { LackingData } from '../shared/lacking-data'
import { WorkersMissing } from './workers-missing'
import { useWholeWords } from '@/ui/use-whole-words'

/** What the review writes, with all that drafts it: it comes behind the stage, which nobody waits longer for. */
const WalkRow = later(() => import('../shared/walk/walk-row').then((m) => m.WalkRow))
const Guide = later(() => import('../shared/guide/guide').then((m) => m.Guide))
const WhereFrom = later(() => import('./where-from').then((m) => m.WhereFrom))
const HandIn = later(() => import('./hand-in').then((m) => m.HandIn))
const AccountPane = later(() => import('./account-pane').then((m) => m.AccountPane), {
  meanwhile: <aside aria-hidden />,
  beside: true,
})

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
  const { deed, leaveReview, openReview, setting } = useStore()
  const open = useSession((s) => s.reviewId === reviewId)
  // A stage is much to draw at once: it is drawn in parts, between which the page answers.
  const ready = useDeferredValue(open, false) && open
  const failed = useSession((s) => s.failed)
  const fault = useSession((s) => s.fault)
  const title = useSession((s) => s.folded.review.title || s.folded.review.question)
  const [missing, setMissing] = useState(false)
  const stage = useSelectedLayoutSegment() ?? 'question'
  useEffect(() => {
    leaveAll()
    dropHandedIn()
    // The keys come first: one that is switched off must not do anything while the review opens.
    deed(
      setting('keys')
        .then((kept) => {
          const own = readOwnKeys(kept)
          if (own) useRegistry.setState({ own })
        })
        .finally(() => openReview(reviewId).then((found) => setMissing(!found))),
    )
    return () => deed(leaveReview())
  }, [reviewId, deed, leaveReview, openReview, setting])
  const name = stage.charAt(0).toUpperCase() + stage.slice(1)
  useArrival(stage, open)
  // A copy for reading shows what is to be read, and nothing else: neither other stages nor what the review writes.
  const reading = useSession((s) => s.reviewId === reviewId && readingCopy(s.folded.review) !== undefined)
  const router = useRouter()
  const away = reading && stage !== 'selection'
  useEffect(() => {
    if (away) router.replace(reviewAddress(reviewId, 'selection'))
  }, [away, reviewId, router])
  useFrameActions(reviewId, reading)
  useKeys()
  useFocusHome()
  useBoundedPaste()
  useWholeWords()

  if (missing)
    return (
      <NotOpen title="This review is not in this browser">
        <p className="empty">
          Reviews stay in the browser in which they were made. If you have its package, open it from the
          shelf.
        </p>
      </NotOpen>
    )
  if (failed)
    return (
      <NotOpen title="This review could not be opened">
        <p role="alert">{fault ? FAULT_WORDS[fault].open : failed}</p>
        <p className="sub">
          Nothing of it was changed. Reload the page to try again; if you have its package, open that from the
          shelf.
        </p>
      </NotOpen>
    )
  return (
    <div className={reading ? 'frame reading' : 'frame'}>
      <title>{open ? `${name} · ${title || 'Review without a title'} · Luvren` : 'Luvren'}</title>
      <header>{reading ? <ReadingHead /> : <Course reviewId={reviewId} stage={stage} />}</header>
      <main id="stage" tabIndex={-1} onMouseOver={pointFacts} onMouseLeave={() => lightFacts(undefined)}>
        {ready && !away ? children : <p className="empty">Opening the review …</p>}
      </main>
      {!reading && <AccountPane stage={stage} />}
      <GuideHere stage={stage} />
      <HandIn reviewId={reviewId} reading={reading} />
      <Strip />
      <Palette />
      <KeysDialog />
      <WhereFromHere />
      <NameDialog />
      <HandOnDialog />
      <LeftUnfinished />
      <WalkRow />
      <Trouble />
      <WorkersMissing />
      <LackingData />
    </div>
  )
}

/** The guide beside the work, when it was asked for; it stays while one goes on. */
function GuideHere({ stage }: { stage: string }) {
  const open = useRegistry((s) => s.guideOpen)
  return open ? <Guide stage={stage} close={() => useRegistry.setState({ guideOpen: false })} /> : null
}

/** Where the numbers of the section come from, when that is asked. */
function WhereFromHere() {
  const open = useRegistry((s) => s.whereFromOpen)
  return open ? <WhereFrom close={() => useRegistry.setState({ whereFromOpen: false })} /> : null
}

/** In the place of a review that is not open: why, and the way to the shelf. */
function NotOpen({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="shelf">
      <title>Luvren</title>
      <h1>{title}</h1>
      {children}
      <Link href="/">
        <Button type="primary">To the shelf</Button>
      </Link>
    </main>
  )
}
