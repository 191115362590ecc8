'use client'
import { sayTakenOver } from '@/core/doing'
import { Select } from 'antd'
import { useState } from 'react'
import type { Line, TakenOver } from '@/core/review'
import { useStore } from '@/page/provider'

const WHAT: { value: TakenOver['what']; label: string }[] = [
  { value: 'filter', label: 'takes over a filter' },
  { value: 'earlier strategy', label: 'takes over an earlier strategy' },
]

/** What a line takes over from others: a published filter, an earlier strategy; its name, and what was changed. */
export function TakenOverField({ sourceId, line, number }: { sourceId: string; line: Line; number: number }) {
  const { deed, doIt } = useStore()
  const [shown, setShown] = useState(false)
  const kept = line.takenOver
  if (!kept && !shown)
    return (
      <button className="plain link sub" onClick={() => setShown(true)}>
        takes over …
      </button>
    )
  const set = (part: Partial<TakenOver>): void => {
    const next: TakenOver = { what: 'filter', name: '', changed: '', ...kept, ...part }
    const same = kept ? JSON.stringify({ ...kept, ...part }) === JSON.stringify(kept) : !next.name.trim()
    if (same) return
    deed(doIt(sayTakenOver, { sourceId, id: line.id, takenOver: next }))
    if (!next.name.trim()) setShown(false)
  }
  return (
    <span className="taken-over">
      <Select
        size="small"
        variant="borderless"
        aria-label={`What line ${number} takes over`}
        value={kept?.what ?? 'filter'}
        options={WHAT}
        popupMatchSelectWidth={false}
        onChange={(what) => set({ what })}
      />
      <input
        key={`name ${kept?.name}`}
        className="bare-input serif"
        autoFocus={!kept}
        aria-label={`Name of what line ${number} takes over`}
        placeholder="by which name it is known"
        defaultValue={kept?.name}
        onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
        onBlur={(e) => set({ name: e.currentTarget.value.trim() })}
      />
      {kept && (
        <input
          key={`changed ${kept.changed}`}
          className="bare-input serif"
          aria-label={`What was changed of it in line ${number}`}
          placeholder="what was changed of it"
          defaultValue={kept.changed}
          onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
          onBlur={(e) => set({ changed: e.currentTarget.value.trim() })}
        />
      )}
    </span>
  )
}
