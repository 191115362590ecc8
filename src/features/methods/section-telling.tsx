'use client'
import { Select } from 'antd'
import { tellingOf, type FactContext } from '@/core/account'
import { chooseTelling, chooseVoice } from '@/core/doing'
import type { TellingLength, TellingOrder, Voice } from '@/core/review'
import { useStore } from '@/page/provider'

const VOICES: { value: Voice; label: string }[] = [
  { value: 'we', label: 'We searched …' },
  { value: 'I', label: 'I searched …' },
  { value: 'passive', label: '… was searched' },
]

const ORDERS: { value: TellingOrder; label: string }[] = [
  { value: 'theme', label: 'by theme' },
  { value: 'time', label: 'in order of time' },
]
const LENGTHS: { value: TellingLength; label: string }[] = [
  { value: 'full', label: 'in full' },
  { value: 'short', label: 'short' },
]

/** In which voice and order the section is told, and at which length. */
export function SectionTelling({ context }: { context: FactContext }) {
  const { deed, doIt } = useStore()
  const { review } = context
  const telling = tellingOf(context)
  return (
    <span className="in-row level wraps">
      <Select
        size="small"
        variant="borderless"
        aria-label="Voice"
        value={review.account.voice}
        options={VOICES}
        onChange={(voice: Voice) => deed(doIt(chooseVoice, voice))}
      />
      <Select
        size="small"
        variant="borderless"
        aria-label="Order"
        popupMatchSelectWidth={false}
        value={telling.order}
        options={ORDERS}
        onChange={(order: TellingOrder) => deed(doIt(chooseTelling, { ...telling, order }))}
      />
      <Select
        size="small"
        variant="borderless"
        aria-label="Length"
        popupMatchSelectWidth={false}
        value={telling.length}
        options={LENGTHS}
        onChange={(length: TellingLength) => deed(doIt(chooseTelling, { ...telling, length }))}
      />
    </span>
  )
}
