'use client'
import { useVirtualizer } from '@tanstack/react-virtual'
import { Input } from 'antd'
import { useMemo, useRef, useState } from 'react'
import { plural } from '@/core/base'
import { whoAndWhen } from '@/core/records'
import { useActions, type Action } from '@/store/actions'
import { useSession } from '@/store/provider'
import { useMarker } from '../shared/use-marks'
import { recordProps } from '../shared/record-props'
import { RecordView } from '@/ui/record-view'

/** The works behind the records, with matched words marked. */
export function RecordsStage() {
  const works = useSession((s) => s.told.ruled.works.works)
  const review = useSession((s) => s.folded.review)
  const marker = useMarker(review)
  const [asked, setAsked] = useState('')
  const [at, setAt] = useState(0)
  const scroll = useRef<HTMLDivElement>(null)
  const shown = useMemo(() => {
    const words = asked.toLowerCase().split(/\s+/).filter(Boolean)
    return words.length
      ? works.filter((w) =>
          words.every((x) =>
            `${w.record.title} ${w.record.authors.join(' ')} ${w.record.year ?? ''}`
              .toLowerCase()
              .includes(x),
          ),
        )
      : works
  }, [works, asked])
  // eslint-disable-next-line react-hooks/incompatible-library -- the list is not memoized further down
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => 66,
    overscan: 8,
  })
  const chosen = shown[Math.min(at, shown.length - 1)]

  const actions = useMemo<Action[]>(() => {
    const go = (step: number) => (): void => {
      const next = Math.max(0, Math.min(shown.length - 1, at + step))
      setAt(next)
      rows.scrollToIndex(next)
    }
    return [
      { id: 'work-next', label: 'Next work', key: 'ArrowDown', strip: true, run: go(1) },
      { id: 'work-before', label: 'Work before', key: 'ArrowUp', strip: true, run: go(-1) },
      {
        id: 'work-find',
        label: 'Narrow the list',
        key: '/',
        strip: true,
        run: () => document.getElementById('works-find')?.focus(),
      },
    ]
  }, [at, rows, shown.length])
  useActions('records', actions)

  if (!works.length)
    return (
      <>
        <h1>Records</h1>
        <p className="empty">
          The works that your searches find will stand here, with the words that matched marked in the colour
          of their concept. Run a strategy under Searches (<kbd>⇧3</kbd>) and bring the records of its last
          line in.
        </p>
      </>
    )
  return (
    <>
      <div style={{ display: 'flex', alignItems: 'center', gap: 16 }}>
        <h1>Records</h1>
        <span className="sub">
          {plural(works.length, 'work')}
          {shown.length < works.length && `, ${plural(shown.length, 'shown', 'shown')}`}
        </span>
        <Input
          id="works-find"
          size="small"
          allowClear
          style={{ width: 240, marginLeft: 'auto' }}
          placeholder="words of title, author, year"
          aria-label="Narrow the list"
          value={asked}
          onChange={(e) => {
            setAsked(e.target.value)
            setAt(0)
          }}
        />
      </div>
      <div className="works">
        <div className="works-list" ref={scroll} tabIndex={0} role="group" aria-label="Works">
          <div style={{ height: rows.getTotalSize(), position: 'relative' }}>
            {rows.getVirtualItems().map((row) => {
              const work = shown[row.index]!
              return (
                <button
                  key={work.id}
                  ref={rows.measureElement}
                  data-index={row.index}
                  className={`plain works-row${work === chosen ? ' on' : ''}`}
                  style={{ position: 'absolute', top: 0, transform: `translateY(${row.start}px)` }}
                  aria-current={work === chosen}
                  onClick={() => setAt(row.index)}
                >
                  <span className="title">{work.record.title}</span>
                  <span className="sub">
                    {whoAndWhen(work.record)} · {work.record.journal}
                    {work.from.length > 1 && ` · ${work.from.length} records`}
                  </span>
                </button>
              )
            })}
          </div>
        </div>
        <div className="work" tabIndex={0} role="group" aria-label="The chosen work">
          {chosen ? (
            <RecordView {...recordProps(chosen.record, marker(chosen.record))} />
          ) : (
            <p className="empty">No work has these words. Clear the box to see all.</p>
          )}
        </div>
      </div>
    </>
  )
}
