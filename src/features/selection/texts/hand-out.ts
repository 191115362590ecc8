import { holdsSession, type Rec } from '@/core/records'
import { calendarOf } from '@/core/review'
import { STATE_WORDS } from './states'
import type { Retrieval } from '@/core/review'

interface Wanted {
  record: Rec
  state: Retrieval['state'] | undefined
}

/** Harmless in a table program: what begins like a formula stands behind an apostrophe. */
const cell = (text: string): string => {
  const safe = /^[=+\-@\t\r]/.test(text) ? `'${text}` : text
  return /[",\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe
}

/** What is wanted, as a list to hand to a library: who, when, what, where, and a link that lasts. */
export function toLibrary(list: readonly Wanted[]): string {
  const head = [
    'Authors',
    'Year',
    'Title',
    'Journal or book',
    'Volume',
    'Issue',
    'Pages',
    'ISSN',
    'Link',
    'State',
  ]
  const rows = list.map(({ record: r, state }) => [
    r.authors.join('; '),
    r.year === undefined ? '' : String(r.year),
    r.title,
    r.journal ?? '',
    r.volume ?? '',
    r.issue ?? '',
    r.pages ?? '',
    r.issn ?? '',
    r.doi ? `https://doi.org/${r.doi}` : r.url && !holdsSession(r.url) ? r.url : '',
    state ? STATE_WORDS[state] : 'not looked for yet',
  ])
  return [head, ...rows].map((row) => row.map(cell).join(',')).join('\r\n') + '\r\n'
}

/** Loans as days of a calendar. */
export const loansCalendar = (
  loans: readonly { id: string; title: string; due: string }[],
  stamp: string,
): string =>
  calendarOf(
    loans.map(({ id, title, due }) => ({
      uid: `loan-${id.replace('/', '-')}@luvren`,
      day: due,
      summary: `Loan due: ${title}`,
      description: title,
    })),
    stamp,
  )
