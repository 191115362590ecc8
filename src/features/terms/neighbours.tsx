'use client'
import { useRef, type KeyboardEvent } from 'react'
import { thousands } from '@/core/base'
import type { Counted, Neighbourhood } from '@/workers'

interface Props {
  at: Neighbourhood
  go: (id: string) => void
  marked: ReadonlySet<string>
  mark: (heading: { id: string; label: string }) => void
}

/**
 * Broader above, narrower below, related beside with a broken line. The arrows walk it: up and down between the tiers,
 * left and right within one; Enter goes to a heading, the space bar marks it for taking several at once.
 */
export function Neighbours({ at, go, marked, mark }: Props) {
  const room = useRef<HTMLDivElement>(null)
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === ' ' || event.key === 'Enter') {
      const node = (event.target as HTMLElement).closest<HTMLElement>('[data-heading]')
      if (!node) return
      event.preventDefault()
      event.stopPropagation()
      if (event.key === ' ') mark({ id: node.dataset.heading!, label: node.dataset.label! })
      else if (node.dataset.heading !== at.heading.id) go(node.dataset.heading!)
      return
    }
    if (!event.key.startsWith('Arrow')) return
    const tiers = [...(room.current?.querySelectorAll<HTMLElement>('[data-tier]') ?? [])].map((tier) => [
      ...tier.querySelectorAll<HTMLElement>('[data-heading]'),
    ])
    const own = tiers.findIndex((tier) => tier.includes(document.activeElement as HTMLElement))
    const place = own < 0 ? -1 : tiers[own]!.indexOf(document.activeElement as HTMLElement)
    const next =
      own < 0
        ? tiers[0]?.[0]
        : event.key === 'ArrowLeft'
          ? (tiers[own]![place - 1] ?? tiers[own - 1]?.at(-1))
          : event.key === 'ArrowRight'
            ? (tiers[own]![place + 1] ?? tiers[own + 1]?.[0])
            : tiers[own + (event.key === 'ArrowUp' ? -1 : 1)]?.[0]
    event.preventDefault()
    event.stopPropagation()
    next?.focus()
  }
  const node = (c: Counted, className = '', adds?: number): React.ReactNode => (
    <span key={c.id} className={`node ${className}${marked.has(c.id) ? ' marked' : ''}`}>
      <button
        className="plain"
        data-heading={c.id}
        data-label={c.label}
        aria-current={c.id === at.heading.id || undefined}
        onClick={() => go(c.id)}
      >
        {c.label} {c.alone !== undefined && <i>{thousands(c.alone)}</i>}
        {adds !== undefined && adds > 0 && <i>· adds {thousands(adds)}</i>}
      </button>
      <button
        className="plain tick"
        tabIndex={-1}
        aria-pressed={marked.has(c.id)}
        aria-label={`Mark ${c.label} for taking`}
        title="Mark for taking several at once (space bar)"
        onClick={() => mark(c)}
      >
        {marked.has(c.id) ? '✓' : '+'}
      </button>
    </span>
  )
  return (
    <div className="neighbours" ref={room} onKeyDown={onKeyDown} role="group" aria-label="Neighbourhood">
      <div>
        {at.broader.length > 0 && (
          <>
            <div className="tier" data-tier role="group" aria-label="Broader headings">
              {at.broader.map((c) => node(c))}
            </div>
            <div className="stem" />
          </>
        )}
        <div className="tier" data-tier>
          {node(at.counted, 'self')}
        </div>
        {at.narrower.length > 0 && (
          <>
            <div className="stem" />
            <div className="tier" data-tier role="group" aria-label="Narrower headings">
              {at.narrower.map((c) => node(c))}
            </div>
          </>
        )}
        {at.heading.scopeNote && <p className="scope-note">{at.heading.scopeNote}</p>}
        {at.heading.entryTerms.length > 0 && (
          <p className="sub above-2">Entry terms: {at.heading.entryTerms.join(' · ')}</p>
        )}
      </div>
      <div>
        {at.related.length > 0 && (
          <>
            <p className="sub below-1">
              Beside it, not below: “with narrower” leaves {at.related.length === 1 ? 'it' : 'them'} out
            </p>
            <div data-tier role="group" aria-label="Related headings">
              {at.related.map((c) => node(c, 'beside', c.adds))}
            </div>
          </>
        )}
      </div>
    </div>
  )
}
