'use client'
import { App, Button, Input, Upload } from 'antd'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { messageOf, plural } from '@/core/base'
import type { ShelfItem } from '@/store/db'
import { FAULT_WORDS } from '@/store/fault-words'
import { copyNumber } from '@/store/copy-ids'
import { useSession, useStore } from '@/store/provider'
import { CourseBand } from '@/ui/course-band'
import { CheckDialog } from './check-dialog'
import { DEMO_ID, shelveDemo } from './demo'
import { PartedDialog } from './parted-dialog'
import { takePackage, type Taking } from './take-package'
import { WithoutNetwork } from './without-network'
import { reviewAddress } from '@/store/address'

const WAY = [
  ['Question', 'State it, break it into concepts, and say which limits you set and why.'],
  ['Terms', 'Find words and headings for each concept, and see what they match.'],
  ['Searches', 'Search line by line in each database, and mend what is missed.'],
  ['Records', 'Bring the records in; what was found twice is merged.'],
  ['Selection', 'Read titles and abstracts, and rule what stays.'],
  ['Methods', 'Read the section that your work has written.'],
] as const

/** The shelf of reviews: begin one, open a package, look at the demo. */
export function Shelf() {
  const store = useStore()
  const { createReview, deed, deleteReview, openShelf, setReader, takeBack } = store
  const shelf = useSession((s) => s.shelf)
  const reader = useSession((s) => s.reader)
  const fault = useSession((s) => s.fault)
  const detail = useSession((s) => s.faultDetail)
  const refused = useSession((s) => s.refused)
  const clearable = useSession((s) => s.clearable)
  const littleRoom = useSession((s) => s.littleRoom)
  const router = useRouter()
  const { message, modal } = App.useApp()
  const [busy, setBusy] = useState(false)
  const [checking, setChecking] = useState(false)
  const [taking, setTaking] = useState<Taking>()
  const [parted, setParted] = useState<{ file: File; reviewId: string }>()
  const away = shelf?.filter((item) => item.putAway) ?? []
  useEffect(() => deed(openShelf()), [deed, openShelf])

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
    setBusy(true)
    try {
      const known = shelf?.find((s) => s.id === DEMO_ID)
      if (known?.putAway) await takeBack(DEMO_ID)
      router.push(reviewAddress(known ? DEMO_ID : await shelveDemo(store)))
    } catch (error) {
      message.error(messageOf(error))
    } finally {
      setBusy(false)
    }
  }
  return (
    <main className="shelf">
      {checking && <CheckDialog take={(file) => deed(open(file))} close={() => setChecking(false)} />}
      {parted && <PartedDialog {...parted} close={() => setParted(undefined)} />}
      <h1>Luvren</h1>
      <p className="sub" style={{ fontSize: 14, marginTop: 4 }}>
        One living record, from the question to the methods section.
      </p>
      {(fault || refused) && (
        <p className="note" role="alert">
          {fault ? FAULT_WORDS[fault].open : refused}
          {fault && detail ? ` The browser says: ${detail}.` : ''}
        </p>
      )}
      <div className="shelf-actions">
        <Button
          type="primary"
          onClick={() => deed(createReview('').then((id) => router.push(reviewAddress(id))))}
        >
          Begin a review
        </Button>
        <Button loading={busy} onClick={() => deed(openDemo())}>
          Open the demo review
        </Button>
        <Upload
          accept=".zip"
          showUploadList={false}
          beforeUpload={(file) => {
            deed(open(file))
            return false
          }}
        >
          <Button>Open a package</Button>
        </Upload>
        <Button onClick={() => setChecking(true)}>Check a package</Button>
        <label className="sub" style={{ marginLeft: 'auto' }}>
          You read as{' '}
          <Input
            size="small"
            style={{ width: 150 }}
            value={reader}
            onChange={(e) => deed(setReader(e.target.value))}
          />
        </label>
      </div>
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
      {shelf && shelf.length === away.length && (
        <>
          <p className="empty">
            Your reviews will stand here, each with its course from question to methods. Nothing leaves this
            browser unless you save a package. The demo review shows the whole way with invented records.
          </p>
          <ol className="shelf-way">
            {WAY.map(([name, words]) => (
              <li key={name}>
                <b>{name}</b>
                {words}
              </li>
            ))}
          </ol>
        </>
      )}
      {shelf
        ?.filter((item) => !item.putAway)
        .map((item) => (
          <ShelfRow key={item.id} item={item} />
        ))}
      {away.length > 0 && (
        <details className="shelf-away">
          <summary className="sub">{plural(away.length, 'review')} put away</summary>
          {away.map((item) => (
            <p key={item.id}>
              <span className="serif">{nameOf(item)}</span>{' '}
              <span className="sub">put away on {item.putAway!.slice(0, 10)}</span>{' '}
              <button className="plain link" onClick={() => deed(takeBack(item.id))}>
                Take it back
              </button>{' '}
              <button
                className="plain link"
                onClick={() =>
                  modal.confirm({
                    title: `Remove “${nameOf(item)}” from this browser for good?`,
                    content: 'This cannot be undone. Save it as a package first if you may want it again.',
                    okText: 'Remove for good',
                    okButtonProps: { danger: true },
                    onOk: () => deed(deleteReview(item.id)),
                  })
                }
              >
                Remove for good
              </button>
            </p>
          ))}
        </details>
      )}
      <WithoutNetwork />
    </main>
  )
}

const nameOf = (item: ShelfItem): string => item.title || item.question || 'Review without a title'

function ShelfRow({ item }: { item: ShelfItem }) {
  const { deed, putAway } = useStore()
  return (
    <article className="shelf-row">
      <Link href={reviewAddress(item.id)} style={{ textDecoration: 'none' }}>
        <h2>
          {nameOf(item)}{' '}
          {copyNumber(item.id) > 1 && (
            <span className="sub" style={{ fontFamily: 'var(--sans)', fontWeight: 400 }}>
              copy {copyNumber(item.id)}, with a history of its own
            </span>
          )}
          {item.demo && (
            <span className="sub" style={{ fontFamily: 'var(--sans)', fontWeight: 400 }}>
              demo, invented records
            </span>
          )}
        </h2>
        {item.title && <p className="sub serif">{item.question || 'No question yet'}</p>}
      </Link>
      <CourseBand width={300} height={44} top={2} figures={item.figures} letters={item.letters} />
      <span className="sub number">
        {item.at.slice(0, 10)}
        <br />
        <button className="plain link" onClick={() => deed(putAway(item.id))}>
          Put away
        </button>
      </span>
    </article>
  )
}
