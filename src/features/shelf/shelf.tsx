'use client'
import { App, Button, Input, Upload } from 'antd'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import type { ShelfItem } from '@/store/db'
import { createReview, deleteReview, openShelf, setReader, takePackage, useSession } from '@/store/session'
import { CourseBand } from '@/ui/course-band'
import { DEMO_ID, shelveDemo } from './demo'

/** The shelf of reviews: begin one, open a package, look at the demo. */
export function Shelf() {
  const { shelf, trouble, reader } = useSession()
  const router = useRouter()
  const { message, modal } = App.useApp()
  const [busy, setBusy] = useState(false)
  useEffect(() => void openShelf(), [])

  const open = async (bytes: Uint8Array): Promise<void> => {
    const read = await takePackage(bytes)
    if (read.ok) router.push(`/review/${read.value}/question`)
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
      const known = shelf?.some((s) => s.id === DEMO_ID)
      router.push(`/review/${known ? DEMO_ID : await shelveDemo()}/question`)
    } catch (error) {
      message.error(error instanceof Error ? error.message : String(error))
    } finally {
      setBusy(false)
    }
  }
  return (
    <main className="shelf">
      <h1>Luvren</h1>
      <p className="sub" style={{ fontSize: 14, marginTop: 4 }}>
        One living record, from the question to the methods section.
      </p>
      {trouble && (
        <p className="note" role="alert">
          {trouble}
        </p>
      )}
      <div className="shelf-actions">
        <Button
          type="primary"
          onClick={() => void createReview('').then((id) => router.push(`/review/${id}/question`))}
        >
          Begin a review
        </Button>
        <Button loading={busy} onClick={() => void openDemo()}>
          Open the demo review
        </Button>
        <Upload
          accept=".zip"
          showUploadList={false}
          beforeUpload={(file) => {
            void file.arrayBuffer().then((b) => open(new Uint8Array(b)))
            return false
          }}
        >
          <Button>Open a package</Button>
        </Upload>
        <label className="sub" style={{ marginLeft: 'auto' }}>
          You read as{' '}
          <Input
            size="small"
            style={{ width: 150 }}
            value={reader}
            onChange={(e) => void setReader(e.target.value)}
          />
        </label>
      </div>
      {shelf?.length === 0 && (
        <p className="empty">
          Your reviews will stand here, each with its course from question to methods. Nothing leaves this
          browser unless you save a package. The demo review shows the whole way with invented records.
        </p>
      )}
      {shelf?.map((item) => (
        <ShelfRow
          key={item.id}
          item={item}
          remove={() =>
            modal.confirm({
              title: `Remove “${item.title || 'Review without a title'}” from this browser?`,
              content: 'This cannot be undone. Save it as a package first if you may want it again.',
              okText: 'Remove',
              okButtonProps: { danger: true },
              onOk: () => deleteReview(item.id),
            })
          }
        />
      ))}
    </main>
  )
}

function ShelfRow({ item, remove }: { item: ShelfItem; remove: () => void }) {
  return (
    <article className="shelf-row">
      <Link href={`/review/${item.id}/question`} style={{ textDecoration: 'none' }}>
        <h2>
          {item.title || item.question || 'Review without a title'}{' '}
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
        <button className="plain link" onClick={remove}>
          Remove
        </button>
      </span>
    </article>
  )
}
