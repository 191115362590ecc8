'use client'
import { Checkbox, DatePicker, Radio } from 'antd'
import dayjs, { type Dayjs } from 'dayjs'
import { plural } from '@/core/base'
import { readWhen, type DayOrder } from '@/core/strategy'
import type { PastedHistory } from './use-pasted-history'

/** How a history is taken over. */
export interface HistoryHow {
  /** Lines that only limit another are folded into it. */
  fold: boolean
  /** In the place of the lines there are, and not behind them. */
  replace: boolean
  /** It was run again there for what is new. */
  update: boolean
  /** The day of searches that have none of their own. */
  day: Dayjs
}

/** What a history leaves open and a person knows. */
export function HistoryOptions({
  paste,
  foldable,
  dated,
  there,
  ran,
  how,
  set,
}: {
  paste: PastedHistory
  /** So many of its lines only limit another. */
  foldable: number
  /** Has each search a day of its own? */
  dated: boolean
  /** So many lines the source has already. */
  there: number
  /** Was anything run there before? */
  ran: boolean
  how: HistoryHow
  set: (to: Partial<HistoryHow>) => void
}) {
  const exampleDay = paste.rows.find((r) => r.day)?.day ?? ''
  return (
    <div className="history-options">
      {foldable > 0 && (
        <Checkbox checked={how.fold} onChange={(e) => set({ fold: e.target.checked })}>
          Fold the {plural(foldable, 'line')} that only limit another into it
        </Checkbox>
      )}
      {paste.history.dayOrder === 'unclear' && (
        <Radio.Group
          size="small"
          aria-label={`What ${exampleDay} means`}
          value={paste.order ?? null}
          onChange={(e) => paste.setOrder(e.target.value as DayOrder)}
          options={(['day first', 'month first'] as const).map((order) => ({
            value: order,
            label: `${exampleDay} is ${dayjs(readWhen(exampleDay, order)).format('D MMM YYYY')}`,
          }))}
        />
      )}
      {!dated && (
        <label>
          <span className="sub">searched on</span>{' '}
          <DatePicker
            size="small"
            allowClear={false}
            format="D MMM YYYY"
            aria-label="Day of the searches without a date"
            value={how.day}
            disabledDate={(d) => d.isAfter(dayjs())}
            onChange={(day) => day && set({ day })}
          />
        </label>
      )}
      {ran && (
        <Radio.Group
          size="small"
          aria-label="What this history is, beside what was run there before"
          value={how.update}
          onChange={(e) => set({ update: e.target.value as boolean })}
          options={[
            { value: false, label: 'another strategy' },
            { value: true, label: 'an update: searched again for what is new' },
          ]}
        />
      )}
      {there > 0 && (
        <Radio.Group
          size="small"
          value={how.replace}
          onChange={(e) => set({ replace: e.target.value as boolean })}
          options={[
            { value: false, label: `behind the ${plural(there, 'line')} there are` },
            { value: true, label: 'in their place' },
          ]}
        />
      )}
    </div>
  )
}
