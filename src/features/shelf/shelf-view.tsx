'use client'
import { Button } from 'antd'
import Link from 'next/link'
import type { ReactNode } from 'react'
import { reviewAddress } from '@/page/address'
import { copyNumber } from '@/store/copy-ids'
import type { ShelfItem } from '@/store/database'
import { CourseBand } from '@/ui/course-band'
import { useFilePick } from '@/ui/file-pick'

/** What is wanted of the shelf: said at once, and done when what does it is there. */
export type Wanted = { what: 'begin' | 'demo' | 'check' } | { what: 'open'; file: File }

const WAY = [
  ['Question', 'State it, break it into concepts, and say which limits you set and why.'],
  ['Terms', 'Find words and headings for each concept, and see what they match.'],
  ['Searches', 'Search line by line in each database, and mend what is missed.'],
  ['Records', 'Bring the records in; what was found twice is merged.'],
  ['Selection', 'Read titles and abstracts, and rule what stays.'],
  ['Methods', 'Read the section that your work has written.'],
] as const

/** Name and aim, what can be begun, and who reads. */
export function ShelfHead({
  busy,
  want,
  reader,
}: {
  /** This is being done. */
  busy: Wanted['what'] | undefined
  want: (wanted: Wanted) => void
  reader: ReactNode
}) {
  const { input, open } = useFilePick('Package', '.zip', (file) => want({ what: 'open', file }))
  return (
    <>
      <h1>Luvren</h1>
      <p className="sub shelf-aim">One living record, from the question to the methods section.</p>
      <div className="shelf-actions">
        <Button type="primary" loading={busy === 'begin'} onClick={() => want({ what: 'begin' })}>
          Begin a review
        </Button>
        <Button loading={busy === 'demo'} onClick={() => want({ what: 'demo' })}>
          Open the demo review
        </Button>
        {input}
        <Button loading={busy === 'open'} onClick={open}>
          Open a package
        </Button>
        <Button loading={busy === 'check'} onClick={() => want({ what: 'check' })}>
          Check a package
        </Button>
        <label className="sub shelf-reader">You read as {reader}</label>
      </div>
    </>
  )
}

/** What will stand here, and the way that a review goes. */
export function EmptyShelf() {
  return (
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
  )
}

export const nameOfItem = (item: ShelfItem): string => item.title || item.question || 'Review without a title'

/** A review on the shelf, with its course. */
export function ShelfRow({ item, putAway }: { item: ShelfItem; putAway?: (() => void) | undefined }) {
  return (
    <article className="shelf-row">
      <Link href={reviewAddress(item.id)}>
        <h2>
          {nameOfItem(item)}{' '}
          {copyNumber(item.id) > 1 && (
            <span className="sub">copy {copyNumber(item.id)}, with a history of its own</span>
          )}
          {item.demo && <span className="sub">demo, invented records</span>}
        </h2>
        {item.title && <p className="sub serif">{item.question || 'No question yet'}</p>}
        {item.damaged && (
          <p className="sub">What stands here of it is damaged. Open it: the review itself lies elsewhere.</p>
        )}
      </Link>
      <CourseBand width={300} height={44} top={2} figures={item.figures} letters={item.letters} />
      <span className="sub number">
        {item.at.slice(0, 10)}
        <br />
        <button className="plain link" disabled={!putAway} onClick={putAway}>
          Put away
        </button>
      </span>
    </article>
  )
}
