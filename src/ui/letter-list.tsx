'use client'
import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react'

interface Props<L extends string> {
  /** Names the list; also the start of the ids of its rows. */
  id: string
  label: string
  rows: readonly { key: string; content: ReactNode; name: string; best?: L | undefined }[]
  letters: readonly L[]
  /** A letter was pressed on a row; Enter stands for the row's best letter. */
  take: (row: number, letter: L) => void
  /** Delete was pressed on a row; absent where nothing can be left out. */
  leave?: (row: number) => void
  /** Take the focus when the list first shows. */
  autoFocus?: boolean
}

/** A list walked with the arrows, where a letter says to which concept the row goes. */
export function LetterList<L extends string>({
  id,
  label,
  rows,
  letters,
  take,
  leave,
  autoFocus = false,
}: Props<L>) {
  const [at, setAt] = useState(0)
  const list = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (autoFocus) list.current?.focus()
  }, [autoFocus])
  const current = Math.max(0, Math.min(at, rows.length - 1))
  const move = (to: number): void => {
    const next = Math.max(0, Math.min(rows.length - 1, to))
    setAt(next)
    document.getElementById(`${id}-${next}`)?.scrollIntoView({ block: 'nearest' })
  }
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey || !rows.length) return
    const letter =
      event.key === 'Enter' ? rows[current]!.best : letters.find((l) => l === event.key.toUpperCase())
    if (event.key === 'ArrowDown') move(current + 1)
    else if (event.key === 'ArrowUp') move(current - 1)
    else if (letter) take(current, letter)
    else if ((event.key === 'Delete' || event.key === 'Backspace') && leave) leave(current)
    else if (event.key === 'Escape') list.current?.blur()
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  return (
    <div
      ref={list}
      id={id}
      className="letter-list"
      // A grid and no listbox: the rows of a listbox must not hold what can be pressed.
      role="grid"
      tabIndex={0}
      aria-label={label}
      aria-activedescendant={rows.length ? `${id}-${current}` : undefined}
      onKeyDown={onKeyDown}
    >
      {rows.map((row, i) => (
        <div
          key={row.key}
          id={`${id}-${i}`}
          role="row"
          aria-selected={i === current}
          className="letter-row"
          onClick={() => {
            setAt(i)
            list.current?.focus()
          }}
        >
          <span role="gridcell" className="letter-row-content">
            {row.content}
          </span>
          <span role="gridcell" className="letters">
            {letters.map((l) => (
              <button
                key={l}
                className={`plain letter ${l}${l === row.best ? ' best' : ''}`}
                tabIndex={-1}
                aria-label={`Take ${row.name} into ${l}`}
                onClick={(e) => {
                  e.stopPropagation()
                  take(i, l)
                }}
              >
                {l}
              </button>
            ))}
          </span>
        </div>
      ))}
    </div>
  )
}
