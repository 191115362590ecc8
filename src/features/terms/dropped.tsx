'use client'
import { takeTermBack } from '@/core/doing'
import type { Term } from '@/core/review'
import { useStore } from '@/page/provider'
import { useStaged } from '@/page/use-staged'

/** The reason why a term was dropped, asked for at once and kept beside the term. */
export function DroppedReason({
  term,
  autoFocus,
  done,
}: {
  term: Term
  autoFocus: boolean
  done: () => void
}) {
  const { deed, doIt } = useStore()
  const reason = useStaged(`dropped-${term.id}`, term.reason ?? '', (text) => ({
    kind: 'term.set',
    payload: { ...term, reason: text },
  }))
  return (
    <label className="dropped-reason">
      <span>
        <s className="mono">{term.expression}</s> dropped
      </span>
      <input
        className="bare-input serif slanted"

        autoFocus={autoFocus}
        placeholder="because …"
        {...reason}
        onKeyDown={(e) => {
          if (e.key !== 'Enter' && e.key !== 'Escape') return
          e.preventDefault()
          e.currentTarget.blur()
          done()
        }}
      />
      <button className="plain link sub" onClick={() => deed(doIt(takeTermBack, term))}>
        take it back
      </button>
    </label>
  )
}
