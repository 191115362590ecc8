'use client'
import { useMemo } from 'react'
import { thousands } from '@/core/base'
import { wordsInContext } from '@/core/engine'
import { whereFrom, whoAndWhen, type Rec } from '@/core/records'
import { Title } from '@/ui/marked'
import type { MarkedRecord } from '../../shared/use-marks'

/** One record: its title with marks, who and where, and the first matched words of its abstract in context. */
export function PeekRecord({ record, marks }: { record: Rec; marks: MarkedRecord }) {
  const abstract = record.abstract ?? ''
  const own = marks.of('abstract')
  const context = useMemo(
    () =>
      wordsInContext(
        own.slice(0, 3).map((m) => ({ field: 'abstract' as const, value: 0, at: [m.start, m.end] as const })),
        () => abstract,
        46,
      ),
    [own, abstract],
  )
  return (
    <article className="peek-record">
      <p className="serif">
        <Title text={record.title} marks={marks.of('title')} />
      </p>
      <p className="sub">
        {whoAndWhen(record)} · {whereFrom(record)}
        {record.timesCited !== undefined && ` · cited ${thousands(record.timesCited)} times`}
      </p>
      {context.length > 0 && (
        <p className="sub">
          {context.map((c, i) => (
            <span key={i}>
              {i > 0 && ' '}… {c.before}
              <mark className={own[i]?.letter}>{c.match}</mark>
              {c.behind} …
            </span>
          ))}
        </p>
      )}
    </article>
  )
}
