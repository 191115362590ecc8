'use client'
import { App, Button, Checkbox, DatePicker, Input, InputNumber, Modal, Radio } from 'antd'
import dayjs, { type Dayjs } from 'dayjs'
import { useMemo, useState } from 'react'
import { plural, thousands } from '@/core/base'
import { limitWords, parse } from '@/core/query'
import type { Line, Review } from '@/core/review'
import {
  appendLines,
  foldLimitLines,
  likelyConcept,
  noteOf,
  readHistory,
  readWhen,
  type DayOrder,
  type HistoryRow,
  type PastSearch,
} from '@/core/strategy'
import { useDoor } from '@/store/handed-in'
import { useStore } from '@/store/provider'
import { takeHistory, type RunMade } from '@/core/doing'
import { evidenceOf, type SourceInfo } from '@/standins/source-info'
import { useFilePick } from '@/ui/file-pick'
import { keepEvidence } from '../outside/evidence'
import { usePastedHistory } from './use-pasted-history'

/** A history that was copied or saved elsewhere: recognised, shown for correction, read by the profile, taken over. */
export function HistoryDialog({
  review,
  info,
  lines,
  close,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  close: () => void
}) {
  const store = useStore()
  const { deed, doIt, newId } = store
  const { message } = App.useApp()
  const paste = usePastedHistory()
  const { history, rows } = paste
  const [name, setName] = useState('history.txt')
  const [fold, setFold] = useState(false)
  const [replace, setReplace] = useState(lines.length === 0)
  const ran = review.runs.some((r) => r.sourceId === info.source.id)
  const [update, setUpdate] = useState(false)
  const [busy, setBusy] = useState(false)
  const [day, setDay] = useState<Dayjs>(() => dayjs())
  const profile = info.profile!
  const read = useMemo(() => readHistory(rows, profile), [rows, profile])
  const folded = useMemo(() => foldLimitLines(read), [read])
  const searches = fold ? folded : read
  const foldable = read.length - folded.length
  const dated = rows.every((r) => r.when)

  const exampleDay = rows.find((r) => r.day)?.day ?? ''
  const leftOut = paste.leftOut > 0 && (
    <>
      {plural(paste.leftOut, 'search', 'searches')} left out;{' '}
      <button className="plain link" onClick={paste.takeBack}>
        take {paste.leftOut === 1 ? 'it' : 'them'} back
      </button>
    </>
  )
  const takeFile = (chosen: File): void =>
    deed(
      chosen.text().then((text) => {
        setName(chosen.name)
        paste.put(text)
      }),
    )
  const file = useFilePick('History file', '.txt,.csv,.tsv,.tab,.html,.htm,.md', takeFile)
  useDoor('history', takeFile)
  const take = async (): Promise<void> => {
    setBusy(true)
    const made = searches.map((s) => ({ search: s, line: lineOf(s, review, newId) }))
    const added = made.map((m) => m.line)
    const whole = replace ? added : appendLines(lines, added)
    const { source } = info
    await keepEvidence(
      store,
      { sourceId: source.id },
      name,
      'text/plain',
      new TextEncoder().encode(paste.text),
    )
    const runs = made.flatMap(({ search, line }): RunMade[] =>
      search.hits === undefined
        ? []
        : [
            {
              source,
              lines: whole,
              line: whole.find((l) => l.id === line.id)!,
              sent: search.row.text,
              there: search.row.number,
              hits: search.hits,
              at: (search.row.when ? dayjs(search.row.when) : day).toISOString(),
              release: info.release ?? source.coverage ?? '',
              how: 'pasted history',
              evidence: evidenceOf(info),
              platform: source.platform,
            },
          ],
    )
    await doIt(takeHistory, { source, lines: whole, runs, update })
    deed(
      message.success(
        `${plural(added.length, 'line')} taken over, ${plural(runs.length, 'run')} logged. The history itself is kept with the review.`,
        6,
      ),
    )
    close()
  }
  return (
    <Modal
      open
      width={1000}
      title={`A history of ${info.short}, taken over`}
      onCancel={close}
      footer={[
        <Button key="leave" onClick={close}>
          Leave it
        </Button>,
        <Button
          key="take"
          type="primary"
          loading={busy}
          disabled={!searches.length || busy}
          onClick={() => deed(take())}
        >
          {searches.length
            ? `${lines.length && replace ? `Replace the ${plural(lines.length, 'line')} by` : 'Take over'} ${plural(searches.length, 'line')}`
            : 'Take over'}
        </Button>,
      ]}
    >
      <div className="history-paste">
        <Input.TextArea
          autoFocus
          className="mono"
          aria-label="The history as it was copied"
          data-takes={1_000_000}
          autoSize={{ minRows: 3, maxRows: rows.length ? 3 : 10 }}
          placeholder="Paste the history here as the page gives it: with its numbers and counts, in whatever columns, the newest first or last."
          value={paste.text}
          onChange={(e) => paste.put(e.target.value)}
        />
        <Button size="small" onClick={file.open}>
          Read it from a file
        </Button>
        {file.input}
      </div>
      {paste.text.trim() && !rows.length && (
        <p className="note">
          {history.problems[0]?.message ?? 'Every search of it was left out.'} {leftOut}
        </p>
      )}
      {rows.length > 0 && (
        <>
          <p className="quiet-note">
            {plural(rows.length, 'search', 'searches')} recognised in {history.layout}
            {history.newestFirst === undefined
              ? '; nothing tells which came first: '
              : history.newestFirst
                ? ', the newest first. '
                : ', the oldest first. '}
            {history.newestFirst === undefined && (
              <button className="plain link" onClick={paste.turn}>
                turn the order round
              </button>
            )}
            {history.problems.map((p) => ` ${p.message}`)} {leftOut}
          </p>
          <div className="history-options">
            {foldable > 0 && (
              <Checkbox checked={fold} onChange={(e) => setFold(e.target.checked)}>
                Fold the {plural(foldable, 'line')} that only limit another into it
              </Checkbox>
            )}
            {history.dayOrder === 'unclear' && (
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
                  value={day}
                  disabledDate={(d) => d.isAfter(dayjs())}
                  onChange={(value) => value && setDay(value)}
                />
              </label>
            )}
            {ran && (
              <Radio.Group
                size="small"
                aria-label="What this history is, beside what was run there before"
                value={update}
                onChange={(e) => setUpdate(e.target.value as boolean)}
                options={[
                  { value: false, label: 'another strategy' },
                  { value: true, label: 'an update: searched again for what is new' },
                ]}
              />
            )}
            {lines.length > 0 && (
              <Radio.Group
                size="small"
                value={replace}
                onChange={(e) => setReplace(e.target.value as boolean)}
                options={[
                  { value: false, label: `behind the ${plural(lines.length, 'line')} there are` },
                  { value: true, label: 'in their place' },
                ]}
              />
            )}
          </div>
          <div className="history-rows" role="table" aria-label="Searches as they were recognised">
            <div className="history-row head" role="row">
              <span role="columnheader">there</span>
              <span role="columnheader">as it stands there</span>
              <span role="columnheader">in plain notation, to be put right</span>
              <span role="columnheader" className="number">
                hits
              </span>
              <span role="columnheader" />
            </div>
            {searches.map((s, i) => (
              <Row
                key={`${s.row.lines[0]}/${i}`}
                search={s}
                number={i + 1}
                change={(to) => paste.change(s.row, to)}
                remove={() => paste.leaveOut(s.row)}
                folded={fold}
              />
            ))}
          </div>
          {history.unread.length > 0 && (
            <details className="sub">
              <summary>
                {plural(history.unread.length, 'line')} of the paste{' '}
                {history.unread.length === 1 ? 'belongs' : 'belong'} to no search
              </summary>
              {history.unread.map((u) => (
                <p key={u.line}>
                  {u.line}: <span className="mono">{u.text}</span>
                </p>
              ))}
            </details>
          )}
        </>
      )}
    </Modal>
  )
}

function Row({
  search,
  number,
  change,
  remove,
  folded,
}: {
  search: PastSearch
  number: number
  change: (to: Partial<HistoryRow>) => void
  remove: () => void
  /** Lines were folded: the numbers shown are no longer those of the list. */
  folded: boolean
}) {
  const { row, problems } = search
  const shown = problems.filter((p) => p.severity !== 'note')
  return (
    <div className="history-row" role="row">
      <span role="cell" className="sub number">
        {row.number ?? number}
      </span>
      <span role="cell">
        <span className="mono sent">{row.text}</span>
      </span>
      <span role="cell">
        <Input.TextArea
          className="mono"
          variant="borderless"
          autoSize
          aria-label={`Search ${number} in plain notation`}
          placeholder={
            search.limits.length && !shown.length
              ? `only a limit: ${search.limits.map(limitWords).join(', ')}`
              : 'kept as it stands, not read: say in plain notation what it asks'
          }
          readOnly={folded}
          value={row.reading ?? search.text}
          onChange={(e) => change({ reading: e.target.value || undefined })}
        />
        {search.described === undefined && search.limits.length > 0 && (
          <span className="sub"> + {search.limits.map(limitWords).join(' + ')}</span>
        )}
        {shown.map((p, i) => (
          <span key={i} className={`history-problem ${p.severity}`}>
            {p.message}
          </span>
        ))}
        {row.others.map((o, i) => (
          <span key={i} className="sub history-problem">
            {o.head ? `${o.head}: ` : 'another column: '}
            <span className="mono">{o.text}</span>
          </span>
        ))}
        {row.rest && (
          <span className="history-problem warning">
            Beside it, in none of the columns: <span className="mono">{row.rest}</span>.{' '}
            <button
              className="plain link"
              onClick={() => change({ text: `${row.text} ${row.rest}`.trim(), rest: '' })}
            >
              It belongs to the search
            </button>
          </span>
        )}
        {search.folded.length > 0 && <span className="sub history-problem">{noteOf(search)}</span>}
      </span>
      <span role="cell" className="number">
        <InputNumber<number | string>
          size="small"
          variant="borderless"
          controls={false}
          min={0}
          precision={0}
          aria-label={`Hits of search ${number}`}
          placeholder="none"
          formatter={(n) => (n === undefined || n === '' ? '' : thousands(Number(n)))}
          parser={(text) => (text ?? '').replace(/\D/g, '')}
          value={search.hits ?? null}
          disabled={search.folded.length > 0}
          // An emptied count is unknown; it is not nothing found.
          onChange={(hits) => change({ hits: hits === null || hits === '' ? undefined : Number(hits) })}
        />
        {row.unsure.length > 0 && row.hits === undefined && (
          <span className="history-unsure" role="group" aria-label={`Which count search ${number} has`}>
            {row.unsure.map((n) => (
              <button key={n} className="plain link" onClick={() => change({ hits: n, unsure: [] })}>
                {thousands(n)}?
              </button>
            ))}
          </span>
        )}
        {row.when && <span className="sub history-day">{dayjs(row.when).format('D MMM YYYY')}</span>}
      </span>
      <span role="cell">
        <button className="plain remove" aria-label={`Leave search ${number} out`} onClick={remove}>
          ×
        </button>
      </span>
    </div>
  )
}

function lineOf(search: PastSearch, review: Review, newId: () => string): Line {
  const { tree } = parse(search.text)
  const conceptId = tree && likelyConcept(tree, review.terms)
  return {
    id: newId(),
    text: search.text,
    limits: search.limits,
    note: noteOf(search),
    drafted: false,
    ...(conceptId ? { conceptId } : {}),
    ...(search.described === undefined ? {} : { described: search.described }),
  }
}
