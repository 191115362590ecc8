'use client'
import { Button, DatePicker, Input, InputNumber, Radio, type GetRef } from 'antd'
import dayjs, { type Dayjs } from 'dayjs'
import { useMemo, useRef, useState } from 'react'
import { thousands } from '@/core/base'
import { exportHere, logAgain, logByHand, ranBefore, type Again } from '@/core/doing'
import { nameOfPerson, type Line } from '@/core/review'
import { numbersThere } from '@/core/strategy'
import { evidenceOf, type SourceInfo } from '@/standins/source-info'
import { useActions, type Action } from '@/page/actions'
import { useSession, useStore } from '@/page/provider'
import { KeyHint } from '../../shared/key-hint'
import { CorrectRun } from './correct-run'
import { Evidence } from './evidence'
import { useExportFiles } from './export-files'

const AGAIN: Record<Again, string> = {
  update: 'an update: the same search again, for what is new',
  revised: 'another strategy than then',
  mistyped: 'the same run, its count put right',
}

/** When and by whom the last line of a source was run, by its id: the next one was mostly run so too. */
const saidLast = new Map<string, { at: Dayjs | null; by: string }>()

/** What came back of a line that was run by a person: hits, when, through what, covering what, by whom; and the export file. */
export function LogRun({
  line,
  number,
  lines,
  info,
  sent,
  screen = [],
  made = false,
  logged,
}: {
  line: Line
  number: number
  lines: readonly Line[]
  info: SourceInfo
  /** What was sent, or in words what was done; empty where the line cannot be read. */
  sent: string
  /** What is set on the screen there, and where. */
  screen?: readonly { what: string; where: string }[]
  /** It was made, and is not made again: only its records are brought in. */
  made?: boolean
  /** Told when a run was logged. */
  logged: () => void
}) {
  const store = useStore()
  const { deed, doIt } = store
  const { source, profile } = info
  const reader = useSession((s) => s.reader)
  const review = useSession((s) => s.folded.review)
  const [hits, setHits] = useState<number | null>(null)
  const [at, setAt] = useState<Dayjs | null>(saidLast.get(source.id)?.at ?? null)
  const [platform, setPlatform] = useState(source.platform ?? '')
  const [coverage, setCoverage] = useState(source.coverage ?? '')
  const expected = useMemo(() => numbersThere(lines, review.runs)(number), [lines, review.runs, number])
  const [there, setThere] = useState<number | null>(null)
  const keepsLines = profile?.lines !== undefined
  const [by, setBy] = useState(saidLast.get(source.id)?.by || reader)
  const here = useMemo(
    () => exportHere(review, source.id, line.id, profile),
    [review, source.id, line.id, profile],
  )
  const { run } = here
  const files = useExportFiles(line, info, here)
  const before = useMemo(() => ranBefore(review, lines, line), [review, lines, line])
  const [as, setAs] = useState<Again>()
  const [because, setBecause] = useState('')
  // A second run is asked what it is: the section tells an update, another strategy and a slip each as what it was.
  const open = before !== undefined && (!as || (as === 'mistyped' && !because.trim()))
  const log = async (): Promise<void> => {
    if (hits === null || !sent || open) return
    const one = {
      source,
      lines,
      line,
      sent,
      hits,
      evidence: evidenceOf(info),
      at: (at ?? dayjs()).toISOString(),
      ranBy: by,
      reader,
      platform,
      coverage,
      onScreen: screen,
      ...(keepsLines ? { there: there ?? expected } : {}),
    }
    if (before && as) await doIt(logAgain, { ...one, as, before: before.run, because })
    else await doIt(logByHand, one)
    saidLast.set(source.id, { at, by })
    setHits(null)
    setThere(null)
    setAs(undefined)
    setBecause('')
    logged()
  }
  const field = useRef<GetRef<typeof InputNumber>>(null)
  useActions(
    'part',
    'log-run',
    useMemo<Action[]>(
      () => [
        {
          id: 'log-hits',
          label: 'Type in the hits that came back',
          key: 'E',
          strip: true,
          run: () => field.current?.focus(),
        },
      ],
      [],
    ),
  )
  const enter = () => deed(log())
  return (
    <div className="log-run">
      <h2>
        {made
          ? 'What came back'
          : line.described === undefined
            ? 'Run it there, then log what came back'
            : 'Log what came back'}
      </h2>
      <div className="log-fields" hidden={made}>
        <label>
          <span className="sub">
            hits
            <KeyHint of="log-hits" />
          </span>
          <InputNumber
            ref={field}
            size="small"
            min={0}
            precision={0}
            controls={false}
            aria-label={`Hits of line ${number}, as shown there`}
            value={hits}
            onChange={(value) => setHits(value)}
            onPressEnter={enter}
          />
        </label>
        <label>
          <span className="sub">on</span>
          <DatePicker
            size="small"
            showTime={{ format: 'HH:mm' }}
            format="D MMM YYYY, HH:mm"
            placeholder="now"
            aria-label="When it was run"
            value={at}
            disabledDate={(day) => day.isAfter(dayjs())}
            onChange={(value) => setAt(value)}
          />
        </label>
        {keepsLines && (
          <label>
            <span className="sub">as its line</span>
            <InputNumber
              size="small"
              min={1}
              precision={0}
              controls={false}
              className="line-there"
              aria-label={`Number that line ${number} has there`}
              placeholder={String(expected)}
              value={there}
              onChange={(value) => setThere(value)}
              onPressEnter={enter}
            />
          </label>
        )}
        {(
          [
            ['through', 'Platform it was run on', 'platform', platform, setPlatform],
            ['covering', 'What it covered then', 'what, from when to when', coverage, setCoverage],
            ['by', 'Who ran it', '', by, setBy],
          ] as const
        ).map(([word, label, hint, value, set]) => (
          <label key={word}>
            <span className="sub">{word}</span>
            <Input
              size="small"
              aria-label={label}
              placeholder={hint}
              value={value}
              onChange={(e) => set(e.target.value)}
              onPressEnter={enter}
            />
          </label>
        ))}
      </div>
      {before && hits !== null && (
        <div className="log-again">
          <span className="sub">It was run there before, on {before.run.at.slice(0, 10)}. This is</span>
          <Radio.Group
            size="small"
            aria-label={`What this run of line ${number} is`}
            value={as}
            onChange={(e) => setAs(e.target.value as Again)}
            options={before.mayBe.map((value) => ({ value, label: AGAIN[value] }))}
          />
          {as === 'mistyped' && (
            <Input
              size="small"
              aria-label="Why the count was wrong"
              placeholder="mistyped; read from another line; …"
              value={because}
              onChange={(e) => setBecause(e.target.value)}
              onPressEnter={enter}
            />
          )}
        </div>
      )}
      {files.asks}
      <div className="log-deeds">
        {!made && (
          <Button size="small" type="primary" disabled={hits === null || !sent || open} onClick={enter}>
            Log the run
          </Button>
        )}
        {files.buttons}
        <span className="sub">
          {run && (
            <>
              last logged: {thousands(run.hits)} hits, {run.at.slice(0, 10)}
              {run.by && `, ${nameOfPerson(review, run.by)}`}
              {run.because && ` (corrected: ${run.because})`}. <CorrectRun key={run.id} run={run} />{' '}
            </>
          )}
          {made
            ? ''
            : profile?.lines?.kept === 'never' || !profile?.lines
              ? 'It keeps no history: this sheet is the history.'
              : profile.lines.kept === 'session'
                ? 'Its history goes when the window closes: this sheet keeps it.'
                : ''}
        </span>
      </div>
      {files.brought}
      <Evidence sourceId={source.id} line={line} number={number} />
    </div>
  )
}
