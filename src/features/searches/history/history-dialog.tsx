'use client'
import { App, Button, Input, Modal } from 'antd'
import dayjs from 'dayjs'
import { useMemo, useState } from 'react'
import { plural } from '@/core/base'
import { pastTaken, takeHistory } from '@/core/doing'
import type { Line, Review } from '@/core/review'
import { foldLimitLines, readHistory } from '@/core/strategy'
import { evidenceOf, type SourceInfo } from '@/standins/source-info'
import { useDoor } from '@/page/handed-in'
import { useStore } from '@/page/provider'
import { useFilePick } from '@/ui/file-pick'
import { keepEvidence } from '../outside/evidence'
import { HistoryOptions, type HistoryHow } from './history-options'
import { HistoryRowShown } from './history-row'
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
  const ran = review.runs.some((r) => r.sourceId === info.source.id)
  const [how, setHow] = useState<HistoryHow>(() => ({
    ...{ fold: false, replace: lines.length === 0, update: false, day: dayjs() },
  }))
  const { fold, replace, update, day } = how
  const [busy, setBusy] = useState(false)
  const profile = info.profile!
  const read = useMemo(() => readHistory(rows, profile), [rows, profile])
  const folded = useMemo(() => foldLimitLines(read), [read])
  const searches = fold ? folded : read
  const foldable = read.length - folded.length
  const dated = rows.every((r) => r.when)

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
    const { source } = info
    const past = pastTaken(
      { review, newId },
      {
        ...{ source, searches, lines, replace, evidence: evidenceOf(info) },
        at: (when) => (when ? dayjs(when) : day).toISOString(),
        release: info.release ?? source.coverage ?? '',
      },
    )
    const { runs, added } = past
    await keepEvidence(
      store,
      { sourceId: source.id },
      name,
      'text/plain',
      new TextEncoder().encode(paste.text),
    )
    await doIt(takeHistory, { source, lines: past.lines, runs, update })
    deed(
      message.success(
        `${plural(added, 'line')} taken over, ${plural(runs.length, 'run')} logged. The history itself is kept with the review.`,
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
          <HistoryOptions
            paste={paste}
            foldable={foldable}
            dated={dated}
            there={lines.length}
            ran={ran}
            how={how}
            set={(to) => setHow({ ...how, ...to })}
          />
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
              <HistoryRowShown
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
