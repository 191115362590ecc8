'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import { useStore } from '@/page/provider'
import { Title } from '@/ui/marked'
import { scrollToRow, useRowWindow } from '@/ui/use-row-window'
import { recordsDesk, type WorkRow, type WorksAnswer } from '@/workers'

const PART = 200
/** The height of a row, in pixels: two lines of a title, one of who and where, one of signs. */
const ROW = 93
/** What a work is called while it is dragged. */
export const DRAGGED_WORK = 'application/x-luvren-work'

/** The works of an answer by their place, fetched in parts as they are looked at; undefined until they are here. */
export function useWindow(answer: WorksAnswer | undefined): (at: number) => WorkRow | undefined {
  const { refuse } = useStore()
  const [got, setGot] = useState<{ number: number; rows: ReadonlyMap<number, WorkRow> }>({
    number: 0,
    rows: new Map(),
  })
  const asked = useRef({ number: 0, parts: new Set<number>() })
  const number = answer?.number ?? 0
  const fetch = useCallback(
    (part: number): void => {
      if (asked.current.number !== number) asked.current = { number, parts: new Set() }
      if (!number || asked.current.parts.has(part)) return
      asked.current.parts.add(part)
      recordsDesk()
        .windowOf(number, part * PART, (part + 1) * PART)
        .then((rows) => {
          if (!rows.length) return
          setGot((before) => {
            const own = new Map(before.number === number ? before.rows : [])
            rows.forEach((row, i) => own.set(part * PART + i, row))
            return { number, rows: own }
          })
        }, refuse)
    },
    [number, refuse],
  )
  useEffect(() => fetch(0), [fetch])
  return useCallback(
    (at: number): WorkRow | undefined => {
      // What was shown stays until the first part of the new answer is here.
      const row = got.rows.get(at)
      if (got.number === number && !row) queueMicrotask(() => fetch(Math.floor(at / PART)))
      return row
    },
    [got, number, fetch],
  )
}

/** The works as rows, only those in sight drawn. */
export function WorksList({
  count,
  rows,
  at,
  choose,
  sources,
  nameOf,
}: {
  count: number
  rows: (at: number) => WorkRow | undefined
  at: number
  choose: (at: number) => void
  sources: readonly string[]
  nameOf: (sourceId: string) => string
}) {
  const scroll = useRef<HTMLDivElement>(null)
  const { height, from, to } = useRowWindow(scroll, count, ROW)
  useEffect(() => {
    if (count && scroll.current) scrollToRow(scroll.current, at, ROW)
  }, [at, count])
  return (
    <div className="works-list" ref={scroll} tabIndex={0} role="group" aria-label="Works">
      <div style={{ height, position: 'relative' }}>
        {Array.from({ length: to - from }, (_, n) => {
          const index = from + n
          const row = rows(index)
          return (
            <button
              key={index}
              className={`plain works-row${index === at ? ' on' : ''}`}
              style={{ position: 'absolute', top: index * ROW, height: ROW }}
              aria-current={index === at}
              aria-label={row ? undefined : `Work ${index + 1}, being read`}
              onClick={() => choose(index)}
              draggable={row !== undefined}
              onDragStart={(e) => row && e.dataTransfer.setData(DRAGGED_WORK, row.id)}
            >
              <span className="title">{row ? <Title text={row.title} /> : ' '}</span>
              <span className="sub">{row && [row.who, row.journal].filter(Boolean).join(' · ')}</span>
              {row && (
                <span className="works-signs">
                  <span title={row.sources.map(nameOf).join(', ')} className="works-dots">
                    {sources.map((id) => (
                      <i key={id} className={row.sources.includes(id) ? 'on' : undefined} />
                    ))}
                    <span className="hidden-text">found in {row.sources.map(nameOf).join(', ')}</span>
                  </span>
                  {row.isNew && <b className="works-new">new with the last import</b>}
                  <span>{row.ruled === 'not yet' ? '' : row.ruled}</span>
                </span>
              )}
            </button>
          )
        })}
      </div>
    </div>
  )
}
