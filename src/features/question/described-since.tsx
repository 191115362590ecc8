'use client'
import { App } from 'antd'
import { dateWords } from '@/core/account'
import { plural } from '@/core/base'
import { keepDescription, linesOtherwise, type SentOtherwise } from '@/core/doing'
import type { Profile } from '@/core/profile'
import type { Review, Source } from '@/core/review'
import { useStore } from '@/page/provider'

/** A database that was described otherwise in another review since: what that would change here, and taking it. */
export function DescribedSince({
  review,
  source,
  before,
  since,
}: {
  review: Review
  source: Source
  before: Profile
  since: Profile
}) {
  const { deed, doIt } = useStore()
  const { modal } = App.useApp()
  const ask = (): void => {
    const lines = linesOtherwise(review, source.id, before, since)
    modal.confirm({
      title: `Take the description of ${since.day ? dateWords(since.day) : 'another review'}?`,
      width: 620,
      content: <LinesOtherwise lines={lines} />,
      okText: 'Take it',
      cancelText: 'Leave it',
      onOk: () => deed(doIt(keepDescription, { source, before, typed: { ...since, id: before.id } })),
    })
  }
  return (
    <button className="plain link sub" onClick={ask}>
      described otherwise since, in another review
    </button>
  )
}

/** Lines that are sent otherwise by another description, each as it was and as it becomes; what was run stays as it was sent. */
export function LinesOtherwise({ lines }: { lines: readonly SentOtherwise[] }) {
  if (!lines.length) return <p>No line here is sent otherwise by it.</p>
  return (
    <>
      <p>
        {plural(lines.length, 'line is', 'lines are')} sent otherwise by it. What was run stays told as it was
        sent.
      </p>
      <ul className="sent-otherwise">
        {lines.slice(0, 8).map((l) => (
          <li key={l.number}>
            #{l.number} <span className="mono">{l.was}</span> becomes{' '}
            <span className="mono">{l.becomes}</span>
          </li>
        ))}
        {lines.length > 8 && <li>and {plural(lines.length - 8, 'more line')}</li>}
      </ul>
    </>
  )
}
