'use client'
import { App, Button } from 'antd'
import { useMemo, useState } from 'react'
import { messageOf, plural } from '@/core/base'
import { whereFrom, whoAndWhen, type Rec } from '@/core/records'
import { RETRIEVAL_STATES, type Retrieval } from '@/core/review'
import { dateWords } from '@/core/account'
import { retrieve } from '@/core/doing'
import { mostPressing, PASSED } from '@/core/selection'
import { useActions, type Action } from '@/store/actions'
import { useStore } from '@/store/provider'
import { useAsked } from '@/store/use-asked'
import { Title } from '@/ui/marked'
import { fileName, saveFile } from '@/ui/save-file'
import { useFilePick } from '@/ui/file-pick'
import { recordsDesk } from '@/workers'
import { listSteps } from '../../shared/list-steps'
import { KeyHint } from '../../shared/key-hint'
import type { Selected } from '../use-selected'
import { saveWord } from '../../shared/word-files'
import { libraryDocument, loansCalendar, toLibrary } from './hand-out'
import { keepFullText } from './full-text'
import { DayField } from '@/ui/day-field'
import { STATE_WORDS } from './states'
import { useWhyNot } from './why-not-dialog'

const KEYS: Readonly<Record<Retrieval['state'], string>> = {
  wanted: '1',
  'loan asked': '2',
  'open copy': '3',
  subscription: '4',
  have: '5',
  'not to be had': '6',
}

interface Row {
  id: string
  record: Rec
  state: Retrieval['state'] | undefined
  due: string | undefined
  retrieval: Retrieval | undefined
}

/** The full texts that are sought: where each stands, overdue loans first, set by key. */
export function TextsPane({ selected }: { selected: Selected }) {
  const store = useStore()
  const { doIt, deed, now } = store
  const { message } = App.useApp()
  const { review, works, said, placed, reading } = selected
  const today = now().slice(0, 10)
  const sought = useMemo(
    () => works.filter(({ id }) => (reading ? reading.of.close.has(id) : PASSED.includes(placed(id).place))),
    [works, placed, reading],
  )
  const { value: records, failed } = useAsked(
    () => (sought.length ? recordsDesk().shown(sought.map((w) => w.id)) : undefined),
    [sought],
    { keep: true },
  )
  const pressing = useMemo(
    () =>
      mostPressing(
        (records ?? []).map(({ id, record }): Row => {
          const retrieval = said.get(id)?.retrieval
          return { id, record, state: retrieval?.state, due: retrieval?.due, retrieval }
        }),
        today,
      ),
    [records, said, today],
  )
  // What presses comes first when one comes here, and stays where it is while one works: a row that jumped away under the
  // keys would take what is meant for the next.
  const [order, setOrder] = useState<readonly string[]>([])
  const byId = new Map(pressing.map((r) => [r.id, r]))
  if (pressing.length && (order.length !== byId.size || order.some((id) => !byId.has(id))))
    setOrder(pressing.map((r) => r.id))
  const rows = order.flatMap((id) => byId.get(id) ?? [])
  const [chosen, setChosen] = useState<string>()
  const at = Math.max(
    0,
    rows.findIndex((r) => r.id === chosen),
  )
  const row = rows[at]
  const set = (state: Retrieval['state'], more: { due?: string; why?: string } = {}): void => {
    if (!row) return
    setChosen(row.id)
    deed(doIt(retrieve, { recordId: row.id, before: row.retrieval, state, ...more }))
  }
  // What is not to be had has a reason; it is asked for with the key.
  const why = useWhyNot((given) => set('not to be had', { why: given }))
  const press = (state: Retrieval['state']): void =>
    state === 'not to be had' ? why.ask(rows.flatMap((r) => r.retrieval?.why ?? [])) : set(state)
  const attach = useFilePick(
    'Full text',
    '.pdf,.html,.txt,.docx',
    (file) => row && deed(keepFullText(store, row.id, file, row.retrieval)),
  )
  const actions: Action[] = [
    ...listSteps({
      ...{ id: 'text', next: 'Next full text', before: 'Full text before', row: 'full text' },
      ...{ at, count: rows.length, go: (to) => setChosen(rows[to]?.id) },
    }),
    ...RETRIEVAL_STATES.map((state) => ({
      id: `text-${state}`,
      label: `Full text: ${STATE_WORDS[state]}`,
      key: KEYS[state],
      when: () => row !== undefined,
      run: () => press(state),
    })),
    {
      id: 'text-attach',
      label: 'Attach its file',
      key: 'A',
      strip: true,
      when: () => row !== undefined,
      run: attach.open,
    },
  ]
  useActions('texts', actions)
  if (!sought.length)
    return (
      <p className="empty">
        Works that are ruled in on title and abstract will stand here, each with where its full text is.
      </p>
    )
  const overdue = rows.filter((r) => r.state === 'loan asked' && r.due !== undefined && r.due < today)
  const wanted = rows.filter((r) => r.state === undefined || r.state === 'wanted' || r.state === 'loan asked')
  const loans = rows.filter((r) => r.state === 'loan asked' && r.due)
  const name = (ending: string): string => fileName(`${review.title} full texts`, ending)
  return (
    <div className="texts">
      <div className="texts-head">
        <span className="sub">
          {plural(sought.length, 'full text')} to be sought
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
                saveWord(name('docx'), libraryDocument(`Full texts wanted: ${review.title}`, wanted)).catch(
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
      {failed !== undefined && <p className="note">{failed}</p>}
      <div className="texts-list" role="listbox" aria-label="Full texts" tabIndex={0}>
        {rows.map((r) => (
          <div
            key={r.id}
            role="option"
            aria-selected={r === row}
            className={`texts-row${r === row ? ' on' : ''}`}
            data-anchor={`work:${r.id}`}
            onClick={() => setChosen(r.id)}
          >
            <span className="title">
              <Title text={r.record.title} />
            </span>
            <span className="sub">
              {whoAndWhen(r.record)} · {whereFrom(r.record)}
            </span>
            <span className="texts-state" data-late={overdue.includes(r)}>
              {r.state ? STATE_WORDS[r.state] : 'not looked for yet'}
              {r.due && `, due ${dateWords(r.due)}`}
              {r.retrieval?.why && `: ${r.retrieval.why}`}
              {r.retrieval?.file && `, ${r.retrieval.file.name}`}
            </span>
          </div>
        ))}
      </div>
      {row && (
        <div className="texts-keys">
          {RETRIEVAL_STATES.map((state) => (
            <Button
              key={state}
              size="small"
              type={row.state === state ? 'primary' : 'default'}
              aria-pressed={row.state === state}
              onClick={() => press(state)}
            >
              {STATE_WORDS[state]}
              <KeyHint of={`text-${state}`} />
            </Button>
          ))}
          {row.state === 'loan asked' && (
            <label className="sub">
              due <DayField label="Due on" value={row.due} set={(due) => due && set('loan asked', { due })} />
            </label>
          )}
          <Button size="small" onClick={attach.open}>
            Attach its file
            <KeyHint of="text-attach" />
          </Button>
          {attach.input}
        </div>
      )}
      {why.dialog}
    </div>
  )
}
