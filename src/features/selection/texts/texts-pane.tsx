'use client'
import { Button } from 'antd'
import { useMemo, useState } from 'react'
import { retrieve } from '@/core/doing'
import { RETRIEVAL_STATES, type Retrieval } from '@/core/review'
import { mostPressing, PASSED } from '@/core/selection'
import { useActions, type Action } from '@/page/actions'
import { useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { DayField } from '@/ui/day-field'
import { useFilePick } from '@/ui/file-pick'
import { recordsDesk } from '@/workers'
import { KeyHint } from '../../shared/key-hint'
import { listSteps } from '../../shared/list-steps'
import type { Selected } from '../use-selected'
import { keepFullText } from './full-text'
import type { Row } from './row'
import { STATE_WORDS } from './states'
import { TextsHead } from './texts-head'
import { TextsList } from './texts-list'
import { useWhyNot } from './why-not-dialog'

const KEYS: Readonly<Record<Retrieval['state'], string>> = {
  wanted: '1',
  'loan asked': '2',
  'open copy': '3',
  subscription: '4',
  have: '5',
  'not to be had': '6',
}

/** The full texts that are sought: where each stands, overdue loans first, set by key. */
export function TextsPane({ selected }: { selected: Selected }) {
  const store = useStore()
  const { doIt, deed, now } = store
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
  useActions('pane', 'texts', actions)
  if (!sought.length)
    return (
      <p className="empty">
        Works that are ruled in on title and abstract will stand here, each with where its full text is.
      </p>
    )
  return (
    <div className="texts">
      <TextsHead title={review.title} rows={rows} today={today} />
      {failed !== undefined && <p className="note">{failed}</p>}
      <TextsList rows={rows} row={row} today={today} choose={setChosen} />
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
