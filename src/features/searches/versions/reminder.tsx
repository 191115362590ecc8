'use client'
import { planReminder } from '@/core/doing'
import { Button, DatePicker, Select } from 'antd'
import dayjs from 'dayjs'
import { dateWords } from '@/core/account'
import { nextReminder, reminderCalendar, RHYTHMS, type Review } from '@/core/review'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { fileName, saveFile } from '@/ui/save-file'

/** When a strategy is to be run again, and the calendar file that says so. */
export function Reminder({ review, info }: { review: Review; info: SourceInfo }) {
  const { deed, doIt, now } = useStore()
  const { source } = info
  const { reminder } = source
  const today = now().slice(0, 10)
  const set = (to: NonNullable<typeof reminder>): void => deed(doIt(planReminder, { source, reminder: to }))
  const save = (): void => {
    const events = review.sources.flatMap((s) =>
      s.reminder
        ? [
            {
              uid: `${review.id}-${s.id}@luvren`,
              summary: `Run the search in ${s.name} again`,
              description: `${review.title || 'Review'}: open Luvren, Searches, ${s.name}; run all lines again and look at what is new.`,
              reminder: s.reminder,
            },
          ]
        : [],
    )
    saveFile(fileName(`${review.title} reminders`, 'ics'), reminderCalendar(events, now()), 'text/calendar')
  }
  const others = review.sources.filter((s) => s.reminder && s.id !== source.id).length
  return (
    <div>
      <h2>When to run it again</h2>
      <div className="reminder">
        <label>
          <span className="sub">every</span>
          <Select
            size="small"
            aria-label="How often to run it again"
            placeholder="never"
            value={reminder?.every ?? null}
            options={RHYTHMS.map((value) => ({ value, label: value }))}
            onChange={(every) =>
              set({ every, from: reminder?.from ?? dayjs().add(1, 'month').format('YYYY-MM-DD') })
            }
          />
        </label>
        <label>
          <span className="sub">from</span>
          <DatePicker
            size="small"
            allowClear={false}
            format="D MMM YYYY"
            aria-label="The first day to run it again"
            value={reminder ? dayjs(reminder.from) : null}
            onChange={(day) =>
              day && set({ every: reminder?.every ?? 'half year', from: day.format('YYYY-MM-DD') })
            }
          />
        </label>
      </div>
      {reminder && (
        <>
          <p className="sub">Next on {dateWords(nextReminder(reminder, today))}.</p>
          <p className="reminder-deeds">
            <Button size="small" onClick={save}>
              Save {others ? `the ${others + 1} reminders` : 'the reminder'} for a calendar
            </Button>
            <button
              className="plain link sub"
              onClick={() => deed(doIt(planReminder, { source, reminder: undefined }))}
            >
              remind no more
            </button>
          </p>
        </>
      )}
    </div>
  )
}
