'use client'
import { Input, Select } from 'antd'
import { useState } from 'react'
import { listed } from '@/core/base'
import {
  DESCRIBED_FIELDS,
  FIELD_PATTERNS,
  REACHES,
  withFieldPattern,
  type FieldPattern,
  type Reach,
} from '@/core/profile'
import { Part } from './profile-part'
import type { PartProps } from './profile-parts'

const REACH: Record<Reach, string> = {
  unit: 'one word, phrase or bracket',
  word: 'one word',
  phrase: 'one word or phrase',
  bracket: 'a bracket, always',
  run: 'all words up to the next operator',
  row: 'the rest of the row',
}
const FIELDS = DESCRIBED_FIELDS.filter((of) => of.length === 1).map((of) => of[0]!)

/** The codes of fields as one table: what a code covers, how it is written, how far it reaches. */
export function ProfileCodes({ draft, set, problems }: PartProps) {
  const usual = DESCRIBED_FIELDS.map((of) => of.join(','))
  const rows = [...usual, ...Object.keys(draft.fields).filter((key) => !usual.includes(key))]
  const given = Object.entries(draft.fields).flatMap(([key, form]) => (form ? [key] : []))
  const [together, setTogether] = useState('')
  const named = together
    .split(',')
    .map((w) => w.trim())
    .filter(Boolean)
  const unknown = named.filter((w) => !(FIELDS as readonly string[]).includes(w))
  const add = (): void => {
    if (!named.length || unknown.length) return
    const key = FIELDS.filter((f) => named.includes(f)).join(',')
    set({ ...draft, fields: { ...draft.fields, [key]: draft.fields[key] ?? '' } })
    setTogether('')
  }
  const reachOf = (key: string): Reach =>
    draft.reach === 'each' ? (draft.reaches[key] ?? 'unit') : draft.reach
  const reach = (key: string, to: Reach): void => {
    const reaches = { ...Object.fromEntries(given.map((k) => [k, reachOf(k)])), [key]: to }
    const all = new Set(given.map((k) => reaches[k]))
    set({ ...draft, reaches, reach: all.size > 1 ? 'each' : to })
  }
  return (
    <Part
      title="Fields"
      start={
        <Select
          size="small"
          aria-label="Start the fields from a pattern"
          placeholder="all in one shape: the code stands …"
          value={null}
          popupMatchSelectWidth={false}
          options={(Object.keys(FIELD_PATTERNS) as FieldPattern[]).map((p) => ({
            value: p,
            label: `the code stands ${p}: ${FIELD_PATTERNS[p]('title').replace('{expr}', 'noise')}`,
          }))}
          onChange={(p: FieldPattern) => set(withFieldPattern(draft, p))}
        />
      }
    >
      <div className="describe-codes">
        <span className="sub">searches in</span>
        <span className="sub">written, round {'{expr}'}</span>
        <span className="sub">reaches</span>
        {rows.map((key) => {
          const form = draft.fields[key] ?? ''
          const at = given.indexOf(key)
          const problem = at < 0 ? undefined : problems.get(`fields.${at}.form`)
          const words = listed(key.split(','))
          return [
            <span key={key}>{words}</span>,
            <span key={`${key} form`}>
              <Input
                size="small"
                className="mono"
                aria-label={words}
                {...(problem ? { status: 'error' as const } : {})}
                placeholder="no such field"
                value={form}
                onChange={(e) => set({ ...draft, fields: { ...draft.fields, [key]: e.target.value } })}
              />
              {problem && <span className="part-problem">{problem}</span>}
            </span>,
            <span key={`${key} reach`}>
              {form && (
                <Select
                  size="small"
                  variant="borderless"
                  aria-label={`How far the code for ${words} reaches`}
                  popupMatchSelectWidth={false}
                  value={reachOf(key)}
                  options={REACHES.map((r) => ({ value: r, label: REACH[r] }))}
                  onChange={(to: Reach) => reach(key, to)}
                />
              )}
            </span>,
          ]
        })}
        <span className="sub">others together</span>
        <Input
          size="small"
          aria-label="Fields that one more code covers together"
          placeholder="title, subject: Enter adds a row for them"
          value={together}
          {...(unknown.length ? { status: 'error' as const } : {})}
          onChange={(e) => setTogether(e.target.value)}
          onPressEnter={add}
        />
        <span className="part-problem">{unknown.length > 0 && `no field here: ${listed(unknown)}`}</span>
      </div>
    </Part>
  )
}
