'use client'
import { DatePicker } from 'antd'
import dayjs from 'dayjs'

/** A day, picked or typed, in the one form in which days are shown; `set` is given it as ISO 8601 has it, or nothing. */
export function DayField({
  label,
  value,
  set,
  past = false,
}: {
  label: string
  value: string | undefined
  set: (day: string | undefined) => void
  /** It is a day on which something was done: none that is still to come. */
  past?: boolean
}) {
  return (
    <DatePicker
      size="small"
      format={['D MMMM YYYY', 'YYYY-MM-DD', 'D.M.YYYY', 'D MMM YYYY']}
      placeholder={label}
      aria-label={label}
      className="wide-4"
      value={value ? dayjs(value) : null}
      {...(past ? { disabledDate: (d: dayjs.Dayjs) => d.isAfter(dayjs()) } : {})}
      onChange={(day: dayjs.Dayjs | null) => set(day ? day.format('YYYY-MM-DD') : undefined)}
    />
  )
}
