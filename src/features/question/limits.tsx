'use client'
import { dropLimit, planLimit } from '@/core/doing'
import { Button, Dropdown } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { listed } from '@/core/base'
import { limitHonour, type LimitState } from '@/core/profile'
import type { LimitKind, LimitValue } from '@/core/query'
import type { PlannedLimit, Review } from '@/core/review'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { useStaged } from '@/page/use-staged'
import { TextLine } from '@/ui/text-line'
import { KeyHint } from '../shared/key-hint'
import { KIND_NAMES, LimitValueEdit, NEW_LIMITS, saysSomething } from './limit-value'
import styles from './limits.module.css'

/** The limits that are planned, each with its reason and with what each source can make of it. */
export function LimitsPlan({ review, sources }: { review: Review; sources: readonly SourceInfo[] }) {
  const { deed, doIt, newId } = useStore()
  // The limit that was chosen last: it gets into the plan when it says something, and asks for its values first.
  const [fresh, setFresh] = useState<PlannedLimit>()
  const open = fresh && !review.limits.some((l) => l.id === fresh.id) ? [fresh] : []
  const free = NEW_LIMITS.filter(
    (n) => n.limit.kind === 'other' || !review.limits.some((l) => l.limit.kind === n.limit.kind),
  )
  return (
    <section aria-labelledby="limits-head">
      <h2 id="limits-head">Limits, and why</h2>
      {[...review.limits, ...open].map((l) => (
        <LimitRow
          key={l.id}
          planned={l}
          sources={sources}
          fresh={l.id === fresh?.id}
          change={(limit) => {
            if (open.includes(l)) setFresh({ ...l, limit })
            if (saysSomething(limit)) deed(doIt(planLimit, { ...l, limit }))
          }}
          remove={() => (open.includes(l) ? setFresh(undefined) : deed(doIt(dropLimit, l.id)))}
          inPlan={!open.includes(l)}
        />
      ))}
      {!review.limits.length && !open.length && (
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
            const made = { id: newId(), limit: chosen.limit, reason: '' }
            setFresh(made)
            if (saysSomething(chosen.limit)) deed(doIt(planLimit, made))
          },
        }}
      >
        <Button size="small" className="above-2" id="plan-limit">
          Plan a limit
          <KeyHint of="limit-plan" />
        </Button>
      </Dropdown>
    </section>
  )
}

function LimitRow({
  planned,
  sources,
  fresh,
  change,
  remove,
  inPlan,
}: {
  planned: PlannedLimit
  sources: readonly SourceInfo[]
  fresh: boolean
  change: (limit: LimitValue) => void
  remove: () => void
  /** Is it in the plan yet? Until its values are there it is only being thought of. */
  inPlan: boolean
}) {
  const room = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (!fresh) return
    // The menu gives the focus back to its button first. Values come before the reason, where there are any.
    const timer = setTimeout(() => {
      // Whoever is in the row already stays where they are: what they type belongs there.
      if (room.current?.contains(document.activeElement)) return
      room.current?.querySelector<HTMLElement>('input:not([type=hidden]), .reason')?.focus()
    }, 120)
    return () => clearTimeout(timer)
  }, [fresh])
  const reason = useStaged(`limit-reason-${planned.id}`, planned.reason, (text) => ({
    kind: 'limit.set',
    payload: { ...planned, reason: text },
  }))
  return (
    <div ref={room} className="plan-row" data-anchor={`limit:${planned.id}`}>
      <div className={styles.value}>
        <span className={styles.kind}>{KIND_NAMES[planned.limit.kind]}</span>
        <LimitValueEdit limit={planned.limit} change={change} />
      </div>
      <TextLine
        disabled={!inPlan}
        className="reason"
        aria-label={`Why: ${planned.limit.kind}`}
        placeholder={inPlan ? 'because …' : 'say what is limited first'}
        {...reason}
      />
      <button className="plain remove" aria-label={`Remove the limit ${planned.limit.kind}`} onClick={remove}>
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
