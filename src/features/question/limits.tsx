'use client'
import { Button, Dropdown } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { listed } from '@/core/base'
import { limitHonour, type LimitState } from '@/core/profile'
import type { LimitKind } from '@/core/query'
import type { PlannedLimit, Review } from '@/core/review'
import { useStore } from '@/store/provider'
import type { SourceInfo } from '@/store/source-info'
import { useStaged } from '@/store/use-staged'
import { TextLine } from '@/ui/text-line'
import { LimitValueEdit, NEW_LIMITS } from './limit-value'

/** The limits that are planned, each with its reason and with what each source can make of it. */
export function LimitsPlan({ review, sources }: { review: Review; sources: readonly SourceInfo[] }) {
  const { act, deed, newId } = useStore()
  // The limit that was planned last asks for its reason at once.
  const [fresh, setFresh] = useState<string>()
  const free = NEW_LIMITS.filter(
    (n) => n.limit.kind === 'other' || !review.limits.some((l) => l.limit.kind === n.limit.kind),
  )
  return (
    <section aria-labelledby="limits-head">
      <h2 id="limits-head">Limits, and why</h2>
      {review.limits.map((l) => (
        <LimitRow key={l.id} planned={l} sources={sources} fresh={l.id === fresh} />
      ))}
      {!review.limits.length && (
        <p className="empty">
          No limits yet. Each one will ask for its reason, because the methods section must give it.
        </p>
      )}
      <Dropdown
        autoFocus
        trigger={['click']}
        menu={{
          items: free.map((n) => ({ key: n.label, label: n.label })),
          onClick: ({ key }) => {
            const chosen = NEW_LIMITS.find((n) => n.label === key)
            if (!chosen) return
            const id = newId()
            setFresh(id)
            deed(act('limit.set', { id, limit: chosen.limit, reason: '' }))
          },
        }}
      >
        <Button size="small" style={{ marginTop: 8 }} id="plan-limit">
          Plan a limit<kbd>L</kbd>
        </Button>
      </Dropdown>
    </section>
  )
}

function LimitRow({
  planned,
  sources,
  fresh,
}: {
  planned: PlannedLimit
  sources: readonly SourceInfo[]
  fresh: boolean
}) {
  const { act, deed } = useStore()
  const room = useRef<HTMLDivElement>(null)
  useEffect(() => {
    // The menu gives the focus back to its button first.
    if (fresh) setTimeout(() => room.current?.querySelector<HTMLElement>('.reason')?.focus(), 120)
  }, [fresh])
  const reason = useStaged(`limit-reason-${planned.id}`, planned.reason, (text) => ({
    kind: 'limit.set',
    payload: { ...planned, reason: text },
  }))
  return (
    <div ref={room} className="plan-row" data-anchor={`limit:${planned.id}`}>
      <LimitValueEdit
        limit={planned.limit}
        change={(limit) => deed(act('limit.set', { ...planned, limit }))}
      />
      <TextLine
        className="reason"
        aria-label={`Why: ${planned.limit.kind}`}
        placeholder="because …"
        {...reason}
      />
      <button
        className="plain remove"
        aria-label={`Remove the limit ${planned.limit.kind}`}
        onClick={() => deed(act('limit.remove', { id: planned.id }))}
      >
        ×
      </button>
      <Honour kind={planned.limit.kind} sources={sources} />
    </div>
  )
}

const SAID: Record<LimitState, string> = {
  exact: 'exact in',
  'stood in': 'stood in for in',
  'not available': 'not to be had in',
}

/** How each source can honour a limit: exactly, by something that stands in for it, or not at all. */
function Honour({ kind, sources }: { kind: LimitKind; sources: readonly SourceInfo[] }) {
  const known = sources.flatMap((s) =>
    s.profile ? [{ short: s.short, ...limitHonour(kind, s.profile) }] : [],
  )
  if (!known.length) return null
  const states = (['exact', 'stood in', 'not available'] as const)
    .map((state) => ({ state, of: known.filter((k) => k.state === state) }))
    .filter(({ of }) => of.length)
  return (
    <p className="honour">
      {states.map(({ state, of }, i) => (
        <span key={state} className={state === 'not available' ? 'lost' : ''}>
          {i > 0 && '; '}
          {of.length === known.length && state === 'exact' && of.length > 1
            ? `exact in all ${of.length}`
            : `${SAID[state]} ${listed(
                of.map((k) =>
                  state === 'stood in' ? `${k.short} (${k.how.replace(/^stood in for by /, '')})` : k.short,
                ),
              )}`}
        </span>
      ))}
    </p>
  )
}
