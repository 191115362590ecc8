'use client'
import { App } from 'antd'
import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import { messageOf, plural } from '@/core/base'
import { reviewAddress } from '@/page/address'
import type { ShelfItem } from '@/store/db'
import { FAULT_WORDS } from '@/store/fault-words'
import { useSession, useStore } from '@/page/provider'
import { LackingData } from '../shared/lacking-data'
import { CheckDialog } from './check-dialog'
import { DEMO_ID, shelveDemo } from './demo'
import { PartedDialog } from './parted-dialog'
import { EmptyShelf, nameOfItem, ShelfRow, type Wanted } from './shelf-view'
import { takePackage, type Taking } from './take-package'
import { WithoutNetwork } from './without-network'

export interface ShelfProps {
  /** What is wanted and not done yet; `done` is called when it is. */
  wanted: Wanted | undefined
  done: () => void
  /** What somebody says here that they are called; undefined: nothing yet. */
  named: string | undefined
}

/** The shelf of reviews: begin one, open a package, look at the demo. */
export function Shelf({ wanted, done, named }: ShelfProps) {
  const store = useStore()
  const { createReview, deed, openShelf, putAway, setReader, takeBack } = store
  const shelf = useSession((s) => s.shelf)
  const fault = useSession((s) => s.fault)
  const detail = useSession((s) => s.faultDetail)
  const refused = useSession((s) => s.refused)
  const clearable = useSession((s) => s.clearable)
  const littleRoom = useSession((s) => s.littleRoom)
  const router = useRouter()
  const { message, modal } = App.useApp()
  const [read, setRead] = useState(false)
  const [checking, setChecking] = useState(false)
  const [taking, setTaking] = useState<Taking>()
  const [parted, setParted] = useState<{ file: File; reviewId: string }>()
  const away = shelf?.filter((item) => item.putAway) ?? []

  const open = async (file: File): Promise<void> => {
    const read = await takePackage(store, file, {}, setTaking).finally(() => setTaking(undefined))
    if (read.ok) router.push(reviewAddress(read.value))
    else if (read.problems[0]?.code === 'parted') setParted({ file, reviewId: read.problems[0].at as string })
    else
      modal.error({
        title: 'This file was not opened',
        content: (
          <ul>
            {read.problems.slice(0, 6).map((p, i) => (
              <li key={i}>{p.message}</li>
            ))}
          </ul>
        ),
      })
  }
  const openDemo = async (): Promise<void> => {
    try {
      const known = store.session.getState().shelf?.find((s) => s.id === DEMO_ID)
      if (known?.putAway) await takeBack(DEMO_ID)
      router.push(reviewAddress(known ? DEMO_ID : await shelveDemo(store)))
    } catch (error) {
      message.error(messageOf(error))
    }
  }
  useEffect(() => deed(openShelf().finally(() => setRead(true))), [deed, openShelf])
  useEffect(() => {
    if (named !== undefined) deed(setReader(named))
  }, [named, deed, setReader])
  // Each wish is done once, when the shelf is read; what it needs of this drawing is handed over with it.
  const want = useRef<(of: Wanted) => Promise<unknown>>(undefined)
  useEffect(() => {
    want.current = async (of) => {
      if (of.what === 'check') setChecking(true)
      else if ('file' in of) await open(of.file)
      else if (of.what === 'demo') await openDemo()
      else router.push(reviewAddress(await createReview('')))
    }
  })
  const begun = useRef<Wanted>(undefined)
  useEffect(() => {
    if (!read || !wanted || begun.current === wanted) return
    begun.current = wanted
    deed(want.current!(wanted).finally(done))
  }, [read, wanted, deed, done])
  return (
    <>
      {checking && <CheckDialog take={(file) => deed(open(file))} close={() => setChecking(false)} />}
      {parted && <PartedDialog {...parted} close={() => setParted(undefined)} />}
      {(fault || refused) && (
        <p className="note" role="alert">
          {fault ? FAULT_WORDS[fault].open : refused}
          {fault && detail ? ` The browser says: ${detail}.` : ''}
        </p>
      )}
      <LackingData />
      {taking && (
        <p className="shelf-taking sub" role="status">
          {taking.words} … <progress {...taking.progress} aria-label={taking.words} />
        </p>
      )}
      {(clearable || littleRoom) && (shelf?.length ?? 0) > 0 && (
        <p className="sub" role="status">
          {littleRoom
            ? 'There is little room left in the storage of this browser: save packages, and remove reviews that you no longer need.'
            : 'This browser may clear its storage by itself when room is short: save a package of each review now and then.'}
        </p>
      )}
      {shelf && shelf.length === away.length && <EmptyShelf />}
      {shelf
        ?.filter((item) => !item.putAway)
        .map((item) => (
          <ShelfRow key={item.id} item={item} putAway={() => deed(putAway(item.id))} />
        ))}
      {away.length > 0 && (
        <details className="shelf-away">
          <summary className="sub">{plural(away.length, 'review')} put away</summary>
          {away.map((item) => (
            <PutAway key={item.id} item={item} />
          ))}
        </details>
      )}
      <WithoutNetwork />
    </>
  )
}

/** A review that was put away: it can be taken back whole, or removed for good. */
function PutAway({ item }: { item: ShelfItem }) {
  const { deed, deleteReview, takeBack } = useStore()
  const { modal } = App.useApp()
  const remove = (): unknown =>
    modal.confirm({
      title: `Remove “${nameOfItem(item)}” from this browser for good?`,
      content: 'This cannot be undone. Save it as a package first if you may want it again.',
      okText: 'Remove for good',
      okButtonProps: { danger: true },
      onOk: () => deed(deleteReview(item.id)),
    })
  return (
    <p>
      <span className="serif">{nameOfItem(item)}</span>{' '}
      <span className="sub">put away on {item.putAway!.slice(0, 10)}</span>{' '}
      <button className="plain link" onClick={() => deed(takeBack(item.id))}>
        Take it back
      </button>{' '}
      <button className="plain link" onClick={remove}>
        Remove for good
      </button>
    </p>
  )
}
