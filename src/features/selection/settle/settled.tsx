'use client'
import { useMemo } from 'react'
import { dateWords } from '@/core/account'
import { plural } from '@/core/base'
import { nameOfPerson } from '@/core/review'
import { reasonOf, reasonWords, settledIn } from '@/core/selection'
import { useAsked } from '@/page/use-asked'
import { recordsDesk } from '@/workers'
import type { Selected } from '../use-selected'
import css from './settle.module.css'

/** What was settled, by whom, how and when; the latest first. */
export function Settled({ selected: { review, works, said } }: { selected: Selected }) {
  const all = useMemo(() => settledIn(works, said), [works, said])
  const ids = useMemo(() => all.map((s) => s.id), [all])
  const { value: records } = useAsked(() => (ids.length ? recordsDesk().shown(ids) : undefined), [ids], {
    keep: true,
  })
  if (!all.length) return null
  return (
    <details className={css.settled}>
      <summary>{plural(all.length, 'difference')} settled</summary>
      {all.map(({ id, pass, settlement: s }) => (
        <p key={`${pass}/${id}`}>
          {records?.find((r) => r.id === id)?.record.title ?? '…'}
          <span className="sub">
            {' '}
            {pass === 'broad' ? 'title and abstract' : 'full text'}: {s.verdict}
            {s.verdict === 'out' && reasonOf(s) !== 'none'
              ? ` (${reasonWords(review, reasonOf(s))})`
              : ''},{' '}
            {s.how}, by {nameOfPerson(review, s.by)}
            {s.at ? ` on ${dateWords(s.at)}` : ''}
          </span>
        </p>
      ))}
    </details>
  )
}
