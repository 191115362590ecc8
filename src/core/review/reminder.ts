import type { Source } from './values'

type Reminder = NonNullable<Source['reminder']>

/** An event that comes back: to run the strategy of a source again. */
export interface ReminderEvent {
  /** Unlike any other, and the same when it is saved again, so that a calendar takes it for the same event. */
  uid: string
  summary: string
  description: string
  reminder: Reminder
}

const RULE: Record<Reminder['every'], string> = {
  month: 'FREQ=MONTHLY',
  'three months': 'FREQ=MONTHLY;INTERVAL=3',
  'half year': 'FREQ=MONTHLY;INTERVAL=6',
  // Twelve months rather than a year: readers differ on what a yearly 29 February means.
  year: 'FREQ=MONTHLY;INTERVAL=12',
}

/**
 * A calendar file (iCalendar, RFC 5545) with one whole-day event for each reminder and an alarm at nine in the morning.
 * `stamp` is when it was made, as ISO 8601 in UTC.
 */
export function reminderCalendar(events: readonly ReminderEvent[], stamp: string): string {
  return calendarOf(
    events.map((e) => ({
      uid: e.uid,
      day: e.reminder.from,
      rule: RULE[e.reminder.every],
      summary: e.summary,
      description: e.description,
    })),
    stamp,
  )
}

/** A day of a calendar; with a rule, one that comes again. */
export interface CalendarDay {
  uid: string
  /** As ISO 8601 has it. */
  day: string
  rule?: string
  summary: string
  description: string
}

/** Days as a calendar file (RFC 5545), each with an alarm at nine; `stamp` is when it was made. */
export function calendarOf(days: readonly CalendarDay[], stamp: string): string {
  const made = stamp.replace(/[-:]/g, '').replace(/\.\d+/, '')
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Luvren//Reminders//EN',
    'CALSCALE:GREGORIAN',
    ...days.flatMap((e) => [
      'BEGIN:VEVENT',
      `UID:${escaped(e.uid)}`,
      `DTSTAMP:${made}`,
      `DTSTART;VALUE=DATE:${e.day.replace(/-/g, '')}`,
      ...(e.rule === undefined ? [] : [`RRULE:${e.rule}`]),
      `SUMMARY:${escaped(e.summary)}`,
      `DESCRIPTION:${escaped(e.description)}`,
      'TRANSP:TRANSPARENT',
      'BEGIN:VALARM',
      'ACTION:DISPLAY',
      'TRIGGER:PT9H',
      `DESCRIPTION:${escaped(e.summary)}`,
      'END:VALARM',
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ]
  return lines.map(folded).join('\r\n') + '\r\n'
}

/** RFC 5545, 3.3.11: backslash, semicolon, comma and line break are escaped in text. */
const escaped = (text: string): string =>
  text
    .replace(/\\/g, '\\\\')
    .replace(/[;,]/g, (c) => `\\${c}`)
    .replace(/\r\n?|\n/g, '\\n')

/** RFC 5545, 3.1: no line is longer than 75 octets; what is longer goes on after a line break and a space. */
function folded(line: string): string {
  const encoder = new TextEncoder()
  const parts: string[] = []
  let part = ''
  let size = 0
  for (const c of line) {
    const own = encoder.encode(c).length
    // A line that goes on begins with a space, which counts.
    if (size + own > (parts.length ? 74 : 75)) {
      parts.push(part)
      part = ''
      size = 0
    }
    part += c
    size += own
  }
  return [...parts, part].join('\r\n ')
}

/** The next day on which a reminder falls, on or after `today` (both as "2026-11-25"). */
export function nextReminder({ every, from }: Reminder, today: string): string {
  const step = { month: 1, 'three months': 3, 'half year': 6, year: 12 }[every]
  const [year = 0, month = 1, day = 1] = from.split('-').map(Number)
  for (let n = 0; ; n++) {
    const at = month - 1 + n * step
    const [y, m] = [year + Math.floor(at / 12), at % 12]
    // A month without that day is left out, as calendars do with such a rule.
    if (day > new Date(Date.UTC(y, m + 1, 0)).getUTCDate()) continue
    const date = `${y}-${String(m + 1).padStart(2, '0')}-${String(day).padStart(2, '0')}`
    if (date >= today) return date
  }
}
