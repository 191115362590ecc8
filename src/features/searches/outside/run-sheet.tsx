'use client'
import { App, Button, DatePicker, Input, InputNumber, Modal, type GetRef } from 'antd'
import dayjs, { type Dayjs } from 'dayjs'
import { useEffect, useMemo, useRef, useState } from 'react'
import { listed, plural, thousands } from '@/core/base'
import { logAgain, logByHand, runSheet, type RunSheetLine } from '@/core/doing'
import { evidenceOf, type SourceInfo } from '@/standins/source-info'
import { useSession, useStore } from '@/page/provider'
import { copyText } from '@/ui/copy-text'

/**
 * Leads through the lines of a source that are run elsewhere: copied, run there, the count typed in, on to the next. It can be
 * left at any line; what was logged stays.
 */
export function RunSheet({ info, again, close }: { info: SourceInfo; again: boolean; close: () => void }) {
  const { doIt, deed } = useStore()
  const { message } = App.useApp()
  const { source } = info
  const profile = info.profile!
  const review = useSession((s) => s.folded.review)
  const reader = useSession((s) => s.reader)
  // The lines of this sitting, as it began: what is logged stays on the sheet, with its count.
  const [sitting] = useState(() =>
    runSheet(review, source.id, profile, again ? 'all' : 'open').map((l) => l.line.id),
  )
  const now = useMemo(
    () => new Map(runSheet(review, source.id, profile, 'all').map((l) => [l.line.id, l])),
    [review, source.id, profile],
  )
  const rows = sitting.flatMap((id) => now.get(id) ?? [])
  const [done, setDone] = useState<ReadonlyMap<string, number>>(new Map())
  const [chosen, setChosen] = useState<string>()
  const row = rows.find((r) => r.line.id === chosen) ?? rows.find((r) => !done.has(r.line.id))
  const [hits, setHits] = useState<number | null>(null)
  const [there, setThere] = useState<number | null>(null)
  const [day, setDay] = useState<Dayjs | null>(null)
  const [platform, setPlatform] = useState(source.platform ?? '')
  const field = useRef<GetRef<typeof InputNumber>>(null)
  const copy = (of: RunSheetLine | undefined): void => {
    if (of?.said?.text)
      deed(copyText(of.said.text).then(() => message.success(`Line ${of.number} is copied.`, 2)))
  }
  useEffect(() => field.current?.focus(), [row?.line.id])
  const log = async (): Promise<void> => {
    if (!row?.said || hits === null) return
    const made = {
      ...{ source, line: row.line, lines: review.strategies[source.id] ?? [], sent: row.said.text, hits },
      ...{ evidence: evidenceOf(info), at: (day ?? dayjs()).toISOString(), ranBy: '', reader, platform },
      coverage: source.coverage ?? '',
      onScreen: row.said.screen,
      ...(row.there === undefined ? {} : { there: there ?? row.there }),
    }
    if (again && row.run) await doIt(logAgain, { ...made, as: 'update', before: row.run, because: '' })
    else await doIt(logByHand, made)
    const left = new Map(done).set(row.line.id, hits)
    setDone(left)
    setHits(null)
    setThere(null)
    setChosen(undefined)
    // The next one is at hand at once: it is pasted there, and only its count comes back.
    copy(rows.find((r) => !left.has(r.line.id)))
  }
  const enter = (): void => deed(log())
  return (
    <Modal
      open
      width={940}
      title={`${info.short}, line by line`}
      onCancel={close}
      footer={[
        <Button key="leave" onClick={close}>
          {row ? 'Leave it here' : 'Done'}
        </Button>,
      ]}
    >
      <div className="run-sheet">
        <ol className="run-sheet-lines" aria-label="Lines to be run there">
          {rows.map((r) => (
            <li key={r.line.id} className={r === row ? 'on' : ''}>
              <button className="plain" onClick={() => setChosen(r.line.id)}>
                <span className="number">{r.number}</span>
                <span className="mono">{r.said?.text ?? r.line.text}</span>
                <span className="number">{done.has(r.line.id) ? thousands(done.get(r.line.id)!) : ''}</span>
              </button>
            </li>
          ))}
        </ol>
        {row ? (
          <div className="run-sheet-now">
            <p className="sub">
              Line {row.number}; {plural(rows.length - done.size, 'line')} still to be run
              {again && ' again, as an update'}
            </p>
            <p className="mono theirs">
              {row.said?.text ?? 'This line cannot be read: mend it in the sheet.'}
            </p>
            {row.said && row.said.onScreen.length > 0 && (
              <p className="quiet-note">To be set on the screen there: {listed(row.said.onScreen)}.</p>
            )}
            {row.said && row.said.missing.length > 0 && (
              <p className="note">
                How a limit by {listed(row.said.missing, 'or')} is set there the description does not say.
              </p>
            )}
            <Button size="small" disabled={!row.said} onClick={() => copy(row)}>
              Copy
            </Button>
            <div className="run-sheet-fields">
              <label>
                <span className="sub">hits there</span>
                <InputNumber
                  ref={field}
                  min={0}
                  precision={0}
                  controls={false}
                  aria-label={`Hits of line ${row.number} there`}
                  value={hits}
                  onChange={setHits}
                  onPressEnter={enter}
                />
              </label>
              {row.there !== undefined && (
                <label>
                  <span className="sub">as its line</span>
                  <InputNumber
                    min={1}
                    precision={0}
                    controls={false}
                    aria-label={`Number that line ${row.number} has there`}
                    placeholder={String(row.there)}
                    value={there}
                    onChange={setThere}
                    onPressEnter={enter}
                  />
                </label>
              )}
              <label>
                <span className="sub">on</span>
                <DatePicker
                  format="D MMM YYYY"
                  placeholder="today"
                  aria-label="Day of these runs"
                  value={day}
                  disabledDate={(d) => d.isAfter(dayjs())}
                  onChange={setDay}
                />
              </label>
              <label>
                <span className="sub">through</span>
                <Input
                  aria-label="Platform of these runs"
                  placeholder="platform"
                  value={platform}
                  onChange={(e) => setPlatform(e.target.value)}
                />
              </label>
            </div>
            <Button type="primary" disabled={hits === null || !row.said} onClick={enter}>
              Log it and go on
            </Button>
          </div>
        ) : (
          <p className="quiet-note">
            {rows.length ? 'Every line is logged.' : 'No line is to be run.'} Bring the export of what was
            found in under Translation.
          </p>
        )}
      </div>
    </Modal>
  )
}
