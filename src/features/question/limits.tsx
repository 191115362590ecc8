'use client'
import { Button, Dropdown, InputNumber, Select } from 'antd'
import { languageName, type LimitValue } from '@/core/query'
import type { PlannedLimit, Review } from '@/core/review'
import { act, newId } from '@/store/session'
import { useStaged } from '@/store/use-staged'
import { TextLine } from '@/ui/text-line'

const THIS_YEAR = new Date().getFullYear()

const NEW: { label: string; limit: LimitValue }[] = [
  { label: 'Years', limit: { kind: 'years', from: THIS_YEAR - 9, to: THIS_YEAR } },
  { label: 'Language', limit: { kind: 'language', values: ['en'] } },
  {
    label: 'Document type',
    limit: { kind: 'document type', values: ['journal article', 'conference paper'] },
  },
  { label: 'Peer reviewed', limit: { kind: 'peer reviewed' } },
]

const LANGUAGES = ['en', 'de', 'es', 'fr', 'it', 'pt'].map((value) => ({ value, label: languageName(value) }))
const TYPES = ['journal article', 'conference paper', 'magazine article', 'report', 'thesis'].map(
  (value) => ({ value }),
)

/** The limits that are planned, each with its reason. */
export function LimitsPlan({ review }: { review: Review }) {
  const free = NEW.filter((n) => !review.limits.some((l) => l.limit.kind === n.limit.kind))
  return (
    <section aria-labelledby="limits-head">
      <h2 id="limits-head">Limits, and why</h2>
      {review.limits.map((l) => (
        <LimitRow key={l.id} planned={l} />
      ))}
      {!review.limits.length && (
        <p className="empty">
          No limits yet. Each one will ask for its reason, because the methods section must give it.
        </p>
      )}
      {free.length > 0 && (
        <Dropdown
          trigger={['click']}
          menu={{
            items: free.map((n) => ({ key: n.label, label: n.label })),
            onClick: ({ key }) => {
              const chosen = NEW.find((n) => n.label === key)
              if (chosen) void act('limit.set', { id: newId(), limit: chosen.limit, reason: '' })
            },
          }}
        >
          <Button size="small" style={{ marginTop: 8 }}>
            Plan a limit
          </Button>
        </Dropdown>
      )}
    </section>
  )
}

function LimitRow({ planned }: { planned: PlannedLimit }) {
  const reason = useStaged(`limit-reason-${planned.id}`, planned.reason, (text) => ({
    kind: 'limit.set',
    payload: { ...planned, reason: text },
  }))
  return (
    <div className="plan-row" data-anchor={`limit:${planned.id}`}>
      <LimitValueEdit
        limit={planned.limit}
        change={(limit) => void act('limit.set', { ...planned, limit })}
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
        onClick={() => void act('limit.remove', { id: planned.id })}
      >
        ×
      </button>
    </div>
  )
}

function LimitValueEdit({ limit, change }: { limit: LimitValue; change: (limit: LimitValue) => void }) {
  if (limit.kind === 'years') {
    const year = (key: 'from' | 'to', label: string) => (
      <InputNumber
        size="small"
        variant="borderless"
        controls={false}
        style={{ width: 46 }}
        min={1000}
        max={9999}
        aria-label={label}
        value={limit[key] ?? null}
        onChange={(value) => {
          const { [key]: _old, ...rest } = limit
          if (value === null) change(rest as LimitValue)
          else if (value >= 1000) change({ ...limit, [key]: value })
        }}
      />
    )
    return (
      <b>
        Years {year('from', 'First year')}–{year('to', 'Last year')}
      </b>
    )
  }
  if (limit.kind === 'language' || limit.kind === 'document type')
    return (
      <Select
        mode="multiple"
        size="small"
        variant="borderless"
        style={{ width: '100%' }}
        aria-label={limit.kind}
        value={limit.values}
        options={limit.kind === 'language' ? LANGUAGES : TYPES}
        onChange={(values: string[]) => values.length && change({ ...limit, values })}
      />
    )
  return <b>{limit.kind.replace(/^./, (c) => c.toUpperCase())}</b>
}
