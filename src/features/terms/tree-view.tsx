'use client'
import { useEffect, useRef, type KeyboardEvent } from 'react'
import { thousands } from '@/core/base'
import { useAsked } from '@/page/use-asked'
import { vocabularyDesk, type TreeRow } from '@/workers'

const NO_ROWS: TreeRow[] = []

/** The vocabulary as a tree, opened at one heading: what stands beside each step down to it, and what is below it. */
export function TreeView({
  vocabulary,
  id,
  go,
}: {
  vocabulary: string
  id: string
  go: (id: string) => void
}) {
  const { value } = useAsked(() => vocabularyDesk().tree(vocabulary, id), [vocabulary, id], { keep: true })
  const rows = value ?? NO_ROWS
  const room = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const own = room.current?.querySelector<HTMLElement>('[aria-current]')
    own?.scrollIntoView({ block: 'nearest' })
    // The walk goes on where the heading is, if it was within the tree.
    if (room.current?.contains(document.activeElement) || document.activeElement === document.body)
      own?.focus()
  }, [rows])
  const onKeyDown = (event: KeyboardEvent): void => {
    const at = rows.findIndex((r) => r.id === (event.target as HTMLElement).dataset.heading)
    const nodes = room.current?.querySelectorAll<HTMLElement>('[data-heading]')
    if (event.key === 'ArrowDown') nodes?.[at + 1]?.focus()
    else if (event.key === 'ArrowUp') nodes?.[at - 1]?.focus()
    else if (event.key === 'ArrowRight' && rows[at]) go(rows[at].id)
    else if (event.key === 'ArrowLeft') {
      const parent = rows.slice(0, Math.max(0, at)).findLast((r) => r.depth < (rows[at]?.depth ?? 0))
      if (parent) go(parent.id)
    } else return
    event.preventDefault()
    event.stopPropagation()
  }
  return (
    <div className="tree" ref={room} role="tree" aria-label="Tree of headings" onKeyDown={onKeyDown}>
      {rows.map((row, i) => (
        <button
          key={`${row.id}-${i}`}
          className="plain"
          role="treeitem"
          aria-level={row.depth + 1}
          aria-expanded={row.open}
          aria-selected={row.self}
          aria-current={row.self || undefined}
          data-heading={row.id}
          style={{ paddingLeft: 6 + row.depth * 18 }}
          onClick={() => go(row.id)}
        >
          <span className="twig">{row.open === undefined ? '' : row.open ? '⌄' : '›'}</span>
          <span>{row.label}</span>
          {row.alone !== undefined && <i>{thousands(row.alone)}</i>}
        </button>
      ))}
    </div>
  )
}
