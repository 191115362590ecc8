'use client'
import { useMemo } from 'react'
import { noticeWords } from '@/core/account'
import { noticesIn, type Notices } from '@/core/figures'
import { useSession } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { recordsDesk } from '@/workers'

/** Which works of the open review are notices on which. */
export function useNotices(): Notices {
  const { works } = useSession((s) => s.told.ruled)
  const related = useSession((s) => s.folded.review.related)
  return useMemo(() => noticesIn(works, related), [works, related])
}

/** That there are notices on a work, or that it is one, with what each is called; nothing where neither is so. */
export function NoticesOf({
  work,
  lead,
  after,
}: {
  work: string
  /** Shows another work; absent: they are only named. */
  lead?: (id: string) => void
  /** What is to be done about a notice on the work, behind its name. */
  after?: string
}) {
  const { on, of } = useNotices()
  const notices = on.get(work) ?? NONE
  const about = of.get(work)
  const ids = useMemo(() => (about === undefined ? notices : [...notices, about]), [notices, about])
  const { value: shown = NONE } = useAsked(() => (ids.length ? recordsDesk().shown(ids) : undefined), [ids])
  if (!ids.length) return null
  const named = (id: string) => {
    const record = shown.find((w) => w.id === id)?.record
    const words = record ? noticeWords(record) : '…'
    return lead ? (
      <button key={id} className="plain link" onClick={() => lead(id)}>
        {words}
      </button>
    ) : (
      <i key={id}>{words}</i>
    )
  }
  return (
    <>
      {notices.length > 0 && (
        <p className="note">
          {notices.length === 1 ? 'There is a notice on this work: ' : 'There are notices on this work: '}
          {notices.map((id, n) => [n > 0 && '; ', named(id)])}
          {after && `. ${after}`}
        </p>
      )}
      {about !== undefined && (
        <p className="note">This is a notice on another work, and is not read: {named(about)}</p>
      )}
    </>
  )
}
const NONE: readonly never[] = []
