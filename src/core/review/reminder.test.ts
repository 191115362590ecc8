import ICAL from 'ical.js'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { RHYTHMS } from './values'
import { nextReminder, reminderCalendar, type ReminderEvent } from './reminder'

const anyEvent: fc.Arbitrary<ReminderEvent> = fc.record({
  uid: fc.uuid(),
  summary: fc.string({ unit: 'grapheme', maxLength: 200 }),
  description: fc.oneof(fc.string({ unit: 'grapheme', maxLength: 300 }), fc.constant('a; b, c\\n\nd')),
  reminder: fc.record({
    every: fc.constantFrom(...RHYTHMS),
    from: fc.constantFrom('2026-03-31', '2026-11-25', '2028-02-29'),
  }),
})
const printable = (text: string): string => text.replace(/\r\n?/g, '\n')

describe('a calendar of reminders (RFC 5545)', () => {
  // ical.js is an independent reader of iCalendar.
  it('is read by an independent reader with the same texts and days', () => {
    fc.assert(
      fc.property(fc.array(anyEvent, { minLength: 1, maxLength: 4 }), (events) => {
        fc.pre(events.every((e) => !/[\u0000-\u0008\u000b-\u001f\u007f]/.test(e.summary + e.description)))
        const text = reminderCalendar(events, '2026-11-25T09:30:00.123Z')
        const read = new ICAL.Component(ICAL.parse(text) as never[])
        const own = read.getAllSubcomponents('vevent').map((c) => new ICAL.Event(c))
        expect(own.map((e) => [e.uid, e.summary, e.description])).toEqual(
          events.map((e) => [e.uid, printable(e.summary), printable(e.description)]),
        )
        expect(own.map((e) => e.startDate.toString())).toEqual(events.map((e) => e.reminder.from))
        expect(own.every((e) => e.startDate.isDate && e.isRecurring())).toBe(true)
      }),
    )
  })

  it('has no line longer than 75 octets, and ends every line with CR LF', () => {
    fc.assert(
      fc.property(anyEvent, (event) => {
        const text = reminderCalendar([event], '2026-11-25T09:30:00Z')
        expect(text.endsWith('\r\n')).toBe(true)
        for (const line of text.split('\r\n')) {
          expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
          expect(line).not.toMatch(/[\r\n]/)
        }
      }),
    )
  })

  it('comes back on the days that an independent reader unrolls from its rule', () => {
    for (const every of RHYTHMS)
      for (const from of ['2026-01-31', '2026-11-25', '2028-02-29']) {
        const reminder = { every, from }
        const text = reminderCalendar(
          [{ uid: 'u', summary: 's', description: 'd', reminder }],
          '2026-01-01T00:00:00Z',
        )
        const event = new ICAL.Event(
          new ICAL.Component(ICAL.parse(text) as never[]).getFirstSubcomponent('vevent')!,
        )
        const days = event.iterator()
        let today = from
        for (let n = 0; n < 6; n++) {
          const next = nextReminder(reminder, today)
          expect(next).toBe(days.next().toString())
          today = `${next}x`
        }
      }
  })
})
