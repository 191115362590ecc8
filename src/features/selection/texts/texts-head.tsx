'use client'
import { App, Button } from 'antd'
import { messageOf, plural } from '@/core/base'
import { useStore } from '@/page/provider'
import { fileName, saveFile } from '@/ui/save-file'
import { saveWord } from '../../shared/word-files'
import { libraryDocument, loansCalendar, toLibrary } from './hand-out'
import { isOverdue, type Row } from './row'

/** How many full texts are sought, and what is handed out of them: lists for a library, a calendar of loans. */
export function TextsHead({ title, rows, today }: { title: string; rows: readonly Row[]; today: string }) {
  const { deed, now } = useStore()
  const { message } = App.useApp()
  const overdue = rows.filter((r) => isOverdue(r, today))
  const wanted = rows.filter((r) => r.state === undefined || r.state === 'wanted' || r.state === 'loan asked')
  const loans = rows.filter((r) => r.state === 'loan asked' && r.due)
  const name = (ending: string): string => fileName(`${title} full texts`, ending)
  return (
    <div className="texts-head">
      <span className="sub">
        {plural(rows.length, 'full text')} to be sought
        {overdue.length > 0 && (
          <>
            {' '}
            · <b>{plural(overdue.length, 'loan')} overdue</b>
          </>
        )}
      </span>
      <span className="texts-out">
        <Button
          size="small"
          disabled={!wanted.length}
          onClick={() => saveFile(name('csv'), toLibrary(wanted), 'text/csv')}
        >
          List for a library
        </Button>
        <Button
          size="small"
          disabled={!wanted.length}
          onClick={() =>
            deed(
              saveWord(name('docx'), libraryDocument(`Full texts wanted: ${title}`, wanted)).catch(
                (error: unknown) => message.error(`The file could not be made: ${messageOf(error)}`),
              ),
            )
          }
        >
          As Word
        </Button>
        <Button
          size="small"
          disabled={!loans.length}
          onClick={() =>
            saveFile(
              name('ics'),
              loansCalendar(
                loans.map((l) => ({ id: l.id, title: l.record.title, due: l.due! })),
                now(),
              ),
              'text/calendar',
            )
          }
        >
          Loans as calendar
        </Button>
      </span>
    </div>
  )
}
