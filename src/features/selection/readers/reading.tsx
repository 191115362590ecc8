'use client'
import { InputNumber, Select } from 'antd'
import { useMemo } from 'react'
import { dateWords } from '@/core/account'
import { plural, thousands } from '@/core/base'
import { planReading } from '@/core/doing'
import { nameOfPerson, workOf, type PassName, type ReadingPlan } from '@/core/review'
import { askedDone, readersOfWork, readingDone, readingWords, toAskAgain } from '@/core/selection'
import { leaveChoice } from '@/page/leave-field'
import { useStore } from '@/page/provider'
import type { Selected } from '../use-selected'

const WAYS: readonly { value: ReadingPlan['way']; label: string }[] = [
  { value: 'two each', label: 'two read each work' },
  { value: 'a share by two', label: 'two read a share' },
  { value: 'one each', label: 'one reads each work' },
]

/** Of each pass: how many people are to read each work, how many did, what is owed, and what is asked again. */
export function Reading({ selected }: { selected: Selected }) {
  return (
    <section className="reading" aria-label="Who reads what">
      {(['broad', 'close'] as const).map((pass) => (
        <OfPass key={pass} pass={pass} selected={selected} />
      ))}
    </section>
  )
}

function OfPass({ pass, selected }: { pass: PassName; selected: Selected }) {
  const { doIt, deed } = useStore()
  const { review, ruled, works, placed } = selected
  const done = useMemo(
    () => readingDone(review, ruled, pass, works, placed),
    [review, ruled, pass, works, placed],
  )
  const again = useMemo(() => toAskAgain(review, ruled, pass), [review, ruled, pass])
  const plan = review.readingPlans?.[pass]
  if (!done.works) return null
  const choose = (way: ReadingPlan['way'], share = 0.2): void =>
    deed(doIt(planReading, { pass, way, ...(way === 'a share by two' ? { share } : {}) }))
  const readers = (id: string): string[] => {
    const work = workOf(ruled.works.works, id)
    return work ? readersOfWork(ruled.byWork, work.id, pass) : []
  }
  return (
    <div className="reading-pass">
      <p>
        <b>{pass === 'broad' ? 'Titles and abstracts' : 'Full texts'}</b>, {plural(done.works, 'work')}:{' '}
        {readingWords(done)}.{' '}
        <Select
          size="small"
          variant="borderless"
          aria-label={`How many read each work, ${pass} pass`}
          placeholder="how many are to read each?"
          {...(plan ? { value: plan.way } : {})}
          options={[...WAYS]}
          popupMatchSelectWidth={false}
          onChange={(way) => {
            choose(way)
            leaveChoice()
          }}
        />
        {plan?.way === 'a share by two' && (
          <InputNumber
            size="small"
            min={1}
            max={99}
            suffix="%"
            aria-label="How large the share is, in percent"
            className="wide-2"
            value={Math.round((plan.share ?? 0.2) * 100)}
            onChange={(n) => n && choose('a share by two', n / 100)}
          />
        )}
      </p>
      {(review.asked ?? [])
        .filter((a) => a.pass === pass)
        .map((a) => (
          <p key={a.id} className="sub">
            {nameOfPerson(review, a.by)} asked on {dateWords(a.at)} for {plural(a.records.length, 'work')} (
            {a.called}
            {a.until ? `, until ${dateWords(a.until)}` : ''}):{' '}
            {askedDone(a, readers)
              .map((r) => `${nameOfPerson(review, r.reader)} ${thousands(r.read)}`)
              .join(', ') || 'none is read yet'}
            .
          </p>
        ))}
      {again.map(({ reader, works: asked }) => (
        <p key={reader} className="sub">
          Asked again, because a question reads otherwise: {plural(asked.length, 'work')} of{' '}
          {nameOfPerson(review, reader)}.
        </p>
      ))}
    </div>
  )
}
