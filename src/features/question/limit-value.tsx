'use client'
import { InputNumber, Select } from 'antd'
import { useState } from 'react'
import { LANGUAGE_CODES, languageName, type LimitValue } from '@/core/query'

const LANGUAGES = LANGUAGE_CODES.map((value) => ({ value, label: languageName(value) }))
/** A code of ISO 639-2 or 639-3, with what may stand behind it: any language that has no code of two letters. */
const CODE = /^[a-z]{3}(?:-[a-z0-9]{2,8})*$/i
const TYPES = ['journal article', 'conference paper', 'magazine article', 'report', 'thesis'].map(
  (value) => ({
    value,
    label: value,
  }),
)
/** The limits that can be planned. Each starts empty: nothing gets into the plan that nobody chose. */
export const NEW_LIMITS: readonly { label: string; limit: LimitValue }[] = [
  { label: 'Years', limit: { kind: 'years' } },
  { label: 'Language', limit: { kind: 'language', values: [] } },
  {
    label: 'Document type',
    limit: { kind: 'document type', values: [] },
  },
  { label: 'Peer reviewed', limit: { kind: 'peer reviewed' } },
  { label: 'Population', limit: { kind: 'population', values: [] } },
  { label: 'Place studied', limit: { kind: 'place', values: [] } },
  { label: 'Open access', limit: { kind: 'open access' } },
  { label: 'Something else', limit: { kind: 'other', text: '' } },
]

/** What each kind is called at the head of its row. */
export const KIND_NAMES: Record<LimitValue['kind'], string> = {
  years: 'Years',
  language: 'Language',
  'document type': 'Document type',
  'peer reviewed': 'Peer reviewed',
  population: 'Population',
  place: 'Place studied',
  'open access': 'Open access',
  other: 'Something else',
}

/** Does a limit say anything yet? */
export const saysSomething = (limit: LimitValue): boolean =>
  limit.kind === 'years'
    ? limit.from !== undefined || limit.to !== undefined
    : 'values' in limit
      ? limit.values.length > 0
      : limit.kind !== 'other' || limit.text.trim() !== ''

/** What is asked for in an empty value. */
const ASKS: Partial<Record<LimitValue['kind'], string>> = {
  language: 'which languages?',
  'document type': 'which types?',
  population: 'which? end each with ;',
  place: 'which? end each with ;',
}

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
          <Year limit={limit} end="from" change={change} />–
          <Year limit={limit} end="to" change={change} />
        </b>
      )
    case 'language':
    case 'document type':
      return <Several limit={limit} change={change} />
    case 'population':
    case 'place':
      return (
        <Select
          mode="tags"
          size="small"
          variant="borderless"
          className="whole"
          aria-label={limit.kind === 'place' ? 'place studied' : limit.kind}
          optionFilterProp="label"
          tokenSeparators={[';']}
          open={false}
          placeholder={ASKS[limit.kind]}
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
          placeholder="what is limited, and how"
          defaultValue={limit.text}
          onBlur={(e) => e.target.value.trim() && change({ ...limit, text: e.target.value.trim() })}
          onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
        />
      )
    default:
      return null
  }
}

/** Several values of a list; of languages also one that is not in it, by its code. */
function Several({
  limit,
  change,
}: {
  limit: Extract<LimitValue, { kind: 'language' | 'document type' }>
  change: (limit: LimitValue) => void
}) {
  const [typed, setTyped] = useState('')
  const code = typed.trim().toLowerCase()
  const own =
    limit.kind === 'language' && CODE.test(code) ? [{ value: code, label: `${code} (by its code)` }] : []
  const others = limit.values
    .filter((v) => v !== code && !LANGUAGES.some((l) => l.value === v))
    .map((value) => ({ value, label: value }))
  return (
    <Select
      mode="multiple"
      size="small"
      variant="borderless"
      className="whole"
      aria-label={limit.kind}
      placeholder={ASKS[limit.kind]}
      optionFilterProp="label"
      popupMatchSelectWidth={false}
      value={limit.values}
      options={limit.kind === 'language' ? [...LANGUAGES, ...own, ...others] : TYPES}
      onSearch={setTyped}
      onChange={(values: string[]) => values.length && change({ ...limit, values })}
    />
  )
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
      className="wide-1"
      min={1000}
      max={9999}
      // A fifth digit is not taken: it would make another year of it without a word.
      maxLength={4}
      aria-label={end === 'from' ? 'First year' : 'Last year'}
      placeholder={end}
      value={limit[end] ?? null}
      onChange={(value) => {
        const { [end]: _old, ...rest } = limit
        if (value === null) change(rest as LimitValue)
        else if (value >= 1000) change({ ...limit, [end]: value })
      }}
    />
  )
}
