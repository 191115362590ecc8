'use client'
import { InputNumber, Select } from 'antd'
import { languageName, type LimitValue } from '@/core/query'

const LANGUAGES = ['en', 'de', 'es', 'fr', 'it', 'pt'].map((value) => ({ value, label: languageName(value) }))
const TYPES = ['journal article', 'conference paper', 'magazine article', 'report', 'thesis'].map(
  (value) => ({
    value,
  }),
)
const THIS_YEAR = new Date().getFullYear()

/** The limits that can be planned, each with what is usual. */
export const NEW_LIMITS: readonly { label: string; limit: LimitValue }[] = [
  { label: 'Years', limit: { kind: 'years', from: THIS_YEAR - 9, to: THIS_YEAR } },
  { label: 'Language', limit: { kind: 'language', values: ['en'] } },
  {
    label: 'Document type',
    limit: { kind: 'document type', values: ['journal article', 'conference paper'] },
  },
  { label: 'Peer reviewed', limit: { kind: 'peer reviewed' } },
  { label: 'Population', limit: { kind: 'population', values: ['children'] } },
  { label: 'Place studied', limit: { kind: 'place', values: ['Norway'] } },
  { label: 'Open access', limit: { kind: 'open access' } },
  { label: 'Something else', limit: { kind: 'other', text: 'to be applied by hand' } },
]

/** A limit's value, changed in place. */
export function LimitValueEdit({
  limit,
  change,
}: {
  limit: LimitValue
  change: (limit: LimitValue) => void
}) {
  switch (limit.kind) {
    case 'years':
      return (
        <b>
          Years <Year limit={limit} end="from" change={change} />–
          <Year limit={limit} end="to" change={change} />
        </b>
      )
    case 'language':
    case 'document type':
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
    case 'population':
    case 'place':
      return (
        <Select
          mode="tags"
          size="small"
          variant="borderless"
          style={{ width: '100%' }}
          aria-label={limit.kind === 'place' ? 'place studied' : limit.kind}
          tokenSeparators={[';']}
          open={false}
          suffixIcon={null}
          value={limit.values}
          onChange={(values: string[]) => values.length && change({ ...limit, values })}
        />
      )
    case 'other':
      return (
        <input
          className="bare-input"
          aria-label="What is limited"
          defaultValue={limit.text}
          onBlur={(e) => e.target.value.trim() && change({ ...limit, text: e.target.value.trim() })}
          onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
        />
      )
    default:
      return <b>{limit.kind.replace(/^./, (c) => c.toUpperCase())}</b>
  }
}

type Years = Extract<LimitValue, { kind: 'years' }>

function Year({
  limit,
  end,
  change,
}: {
  limit: Years
  end: 'from' | 'to'
  change: (limit: LimitValue) => void
}) {
  return (
    <InputNumber
      size="small"
      variant="borderless"
      controls={false}
      style={{ width: 46 }}
      min={1000}
      max={9999}
      aria-label={end === 'from' ? 'First year' : 'Last year'}
      value={limit[end] ?? null}
      onChange={(value) => {
        const { [end]: _old, ...rest } = limit
        if (value === null) change(rest as LimitValue)
        else if (value >= 1000) change({ ...limit, [end]: value })
      }}
    />
  )
}
