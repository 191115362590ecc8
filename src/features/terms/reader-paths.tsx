'use client'
import { plural } from '@/core/base'
import type { Neighbourhood } from '@/workers'
import { KeyHint } from '../shared/key-hint'

/** The ways down from the top, and the switch between neighbourhood and tree. */
export function Paths({
  at,
  go,
  asTree,
  change,
}: {
  at: Neighbourhood
  go: (id: string) => void
  asTree: boolean
  change: () => void
}) {
  const [path = []] = at.paths
  return (
    <p className="sub paths">
      {path.map((p) => (
        <span key={p.id}>
          <button className="plain link" onClick={() => go(p.id)}>
            {p.label}
          </button>{' '}
          ›{' '}
        </span>
      ))}
      {!path.length && 'a top heading'}
      {at.paths.length > 1 && ` and ${plural(at.paths.length - 1, 'other way', 'other ways')}`}
      <button className="plain link apart" onClick={change}>
        {asTree ? 'neighbourhood' : 'tree'} <KeyHint of="reader-tree" />
      </button>
    </p>
  )
}
