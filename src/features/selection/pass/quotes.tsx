'use client'
import { Input } from 'antd'
import { useState } from 'react'
import { dropQuote, keepQuote } from '@/core/doing'
import type { Review, Work } from '@/core/review'
import { useStore } from '@/page/provider'

/** Words of a full text that are kept, each with where it stands. */
export function Quotes({ work, review }: { work: Work; review: Review }) {
  const { doIt, deed } = useStore()
  const [text, setText] = useState('')
  const [page, setPage] = useState('')
  const own = (review.quotes ?? []).filter((q) => work.records.includes(q.recordId))
  const keep = (): void => {
    if (!text.trim()) return
    deed(doIt(keepQuote, { recordId: work.id, text, page }))
    setText('')
    setPage('')
  }
  return (
    <section className="quotes" aria-label="Quotes">
      {own.map((q) => (
        <p key={q.id}>
          “{q.text}”{q.page && <span className="sub"> p. {q.page}</span>}{' '}
          <button className="plain link sub" onClick={() => deed(doIt(dropQuote, { id: q.id }))}>
            away
          </button>
        </p>
      ))}
      <p className="quote-new">
        <Input
          size="small"
          variant="borderless"
          placeholder="words worth keeping, and Enter"
          aria-label="A quote from the full text"
          value={text}
          onChange={(e) => setText(e.target.value)}
          onPressEnter={keep}
        />
        <Input
          size="small"
          variant="borderless"
          placeholder="page"
          aria-label="Page of the quote"
          value={page}
          onChange={(e) => setPage(e.target.value)}
          onPressEnter={keep}
        />
      </p>
    </section>
  )
}
