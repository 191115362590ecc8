'use client'
import { DatePicker, Input, InputNumber, Modal } from 'antd'
import dayjs, { type Dayjs } from 'dayjs'
import { useState, type ReactNode } from 'react'
import { logBefore } from '@/core/doing'
import type { Line } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { useSession, useStore } from '@/page/provider'

/** A search that was made before the record was kept: its day and its count, and who made it; what it asked is not known. */
export function BeforeDialog({
  info,
  lines,
  close,
}: {
  info: SourceInfo
  lines: readonly Line[]
  close: () => void
}) {
  const { deed, doIt } = useStore()
  const reader = useSession((s) => s.reader)
  const { source } = info
  const [day, setDay] = useState<Dayjs | null>(null)
  const [hits, setHits] = useState<number | null>(null)
  const [ranBy, setRanBy] = useState(reader)
  const [platform, setPlatform] = useState(source.platform ?? '')
  const [note, setNote] = useState('')
  const ready = day !== null && hits !== null
  const take = (): void => {
    if (!ready) return
    // Of the day no hour is known.
    const at = day.hour(12).minute(0).second(0).millisecond(0).toISOString()
    deed(doIt(logBefore, { source, lines, at, hits, ranBy, reader, platform, note }))
    close()
  }
  return (
    <Modal
      open
      title={`A search of ${info.short} made before this record was kept`}
      okText="Take it in"
      okButtonProps={{ disabled: !ready }}
      onOk={take}
      onCancel={close}
    >
      <p className="sub">
        For a search of which a day and a count are known, and not what it asked. The methods section says
        just that. If its lines are still to be had, take them over as a history instead: then it can be
        repeated.
      </p>
      <div className="before-fields">
        <Field word="on">
          <DatePicker
            format="D MMM YYYY"
            placeholder="day"
            aria-label="Day on which it was searched"
            value={day}
            disabledDate={(d) => d.isAfter(dayjs())}
            onChange={(value) => setDay(value)}
          />
        </Field>
        <Field word="hits">
          <InputNumber
            min={0}
            precision={0}
            controls={false}
            aria-label="Hits that it had"
            value={hits}
            onChange={(value) => setHits(value)}
            onPressEnter={take}
          />
        </Field>
        <Field word="by">
          <Input
            aria-label="Who searched"
            value={ranBy}
            onChange={(e) => setRanBy(e.target.value)}
            onPressEnter={take}
          />
        </Field>
        <Field word="through">
          <Input
            aria-label="Platform it was searched on"
            placeholder="if it is known"
            value={platform}
            onChange={(e) => setPlatform(e.target.value)}
            onPressEnter={take}
          />
        </Field>
        <Field word="note" wide>
          <Input
            aria-label="What else is remembered"
            placeholder="what else is remembered; empty: nothing"
            value={note}
            onChange={(e) => setNote(e.target.value)}
            onPressEnter={take}
          />
        </Field>
      </div>
    </Modal>
  )
}

const Field = ({ word, wide, children }: { word: string; wide?: boolean; children: ReactNode }) => (
  <label className={wide ? 'wide' : undefined}>
    <span className="sub">{word}</span>
    {children}
  </label>
)
