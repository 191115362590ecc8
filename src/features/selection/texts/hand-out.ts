import type { DocumentTree } from '@/core/account'
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

/** What is wanted, as rows for a library: who, when, what, where, and a link that lasts; the first row is the head. */
function wantedRows(list: readonly Wanted[]): string[][] {
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
  return [head, ...rows]
}

/** The list to hand to a library, for table programs. */
export const toLibrary = (list: readonly Wanted[]): string =>
  wantedRows(list)
    .map((row) => row.map(cell).join(','))
    .join('\r\n') + '\r\n'

/** The same as a document: of each work one cell says what it is, one where it stands. */
export function libraryDocument(title: string, list: readonly Wanted[]): DocumentTree {
  const [head = [], ...rows] = wantedRows(list)
  const at = (row: readonly string[], name: string): string => row[head.indexOf(name)] ?? ''
  return {
    title,
    blocks: [
      {
        kind: 'table',
        caption: [],
        head: ['Work', 'In', 'Link', 'State'],
        rows: rows.map((r) =>
          [
            `${at(r, 'Authors')} (${at(r, 'Year') || 'no year'}). ${at(r, 'Title')}`,
            [at(r, 'Journal or book'), at(r, 'Volume'), at(r, 'Issue'), at(r, 'Pages'), at(r, 'ISSN')]
              .filter(Boolean)
              .join(', '),
            at(r, 'Link'),
            at(r, 'State'),
          ].map((text) => (text ? [{ type: 'text' as const, text }] : [])),
        ),
      },
    ],
  }
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
