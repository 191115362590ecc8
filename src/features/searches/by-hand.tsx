'use client'
import { App, Button, InputNumber } from 'antd'
import { useMemo, useRef, useState } from 'react'
import { plural, thousands } from '@/core/base'
import { printFor } from '@/core/profile'
import { parse } from '@/core/query'
import { readRis } from '@/core/records'
import type { Line } from '@/core/review'
import { lineKeys, writtenOut } from '@/core/strategy'
import { act, keepRecords, newId, now, useSession } from '@/store/session'
import type { SourceInfo } from '@/store/source-info'
import { SaidPane } from './translation'

/**
 * A line of a database that lies outside: its text to be copied and run there, what came back to be logged here, and
 * the export file to be brought in and held against the count.
 */
export function ByHand({
  line,
  number,
  lines,
  info,
}: {
  line: Line
  number: number
  lines: readonly Line[]
  info: SourceInfo
}) {
  const { message } = App.useApp()
  const profile = info.profile!
  const [hits, setHits] = useState<number | null>(null)
  const file = useRef<HTMLInputElement>(null)
  const run = useSession((s) => s.folded.review.runs.findLast((r) => r.lineId === line.id))
  const said = useMemo(() => {
    const trees = lines.map((l) => parse(l.text).tree)
    const tree = trees[number - 1]
    if (!tree) return { text: '', losses: [] }
    const { text, losses } = printFor(tree, profile, { line: (n) => writtenOut(n, (k) => trees[k - 1]) })
    return { text, losses }
  }, [lines, number, profile])
  const { source } = info

  const log = async (): Promise<void> => {
    if (hits === null || !said.text) return
    await act('run.log', {
      id: newId(),
      sourceId: source.id,
      lineId: line.id,
      key: lineKeys(lines).get(line.id)!,
      number,
      text: line.text,
      sent: said.text,
      limits: line.limits,
      hits,
      at: now(),
      by: useSession.getState().reader,
      release: source.coverage ?? '',
      how: 'by hand',
    })
    setHits(null)
  }
  const bring = async (chosen: File): Promise<void> => {
    const { records, problems } = readRis(await chosen.text())
    if (!records.length) {
      void message.error(`${chosen.name}: ${problems[0]?.message ?? 'no record was found.'}`)
      return
    }
    const digest = await keepRecords(records)
    const { imports } = useSession.getState().folded.review
    await act('records.import', {
      id: imports.find((i) => i.sourceId === source.id)?.id ?? newId(),
      sourceId: source.id,
      ...(run ? { runId: run.id } : {}),
      digest,
      count: records.length,
      at: now(),
    })
    const short = run ? run.hits - records.length : 0
    const most = profile.caps.exported ?? profile.caps.shown
    if (short > 0)
      void message.warning(
        `${chosen.name} holds ${plural(records.length, 'record')}, ${thousands(short)} fewer than the ${thousands(run!.hits)} hits logged${most !== undefined && run!.hits > most ? `: ${info.short} hands out at most ${thousands(most)}` : ''}. They are in the review; bring the others in as well.`,
        10,
      )
    else if (short < 0)
      void message.warning(
        `${chosen.name} holds ${plural(records.length, 'record')}, ${thousands(-short)} more than the hits logged: is it the export of another line?`,
        10,
      )
    else
      void message.success(
        `${plural(records.length, 'record')} brought in${run ? ', as many as the hits logged' : ''}.`,
      )
  }
  return (
    <>
      <SaidPane line={line} number={number} said={said} short={info.short} />
      <div className="by-hand">
        <h2>Run it there, then log what came back</h2>
        <label>
          <span className="sub">hits</span>{' '}
          <InputNumber
            size="small"
            min={0}
            precision={0}
            controls={false}
            aria-label={`Hits of line ${number}, as shown there`}
            value={hits}
            onChange={(value) => setHits(value)}
            onPressEnter={() => void log()}
          />
        </label>
        <Button size="small" type="primary" disabled={hits === null || !said.text} onClick={() => void log()}>
          Log the run
        </Button>
        <Button size="small" onClick={() => file.current?.click()}>
          Bring the export file in
        </Button>
        <input
          ref={file}
          type="file"
          hidden
          accept=".ris,.txt"
          aria-label="Export file"
          onChange={(e) => {
            const [chosen] = e.target.files ?? []
            e.target.value = ''
            if (chosen) void bring(chosen)
          }}
        />
        <span className="sub">
          {run ? `last logged: ${thousands(run.hits)} hits, ${run.at.slice(0, 10)}, ${run.by}. ` : ''}
          {profile.lines?.kept === 'never' && 'It keeps no history: this sheet is the history. '}
          {!source.platform &&
            'Note its platform and coverage under Question: the methods section needs them.'}
        </span>
      </div>
    </>
  )
}
