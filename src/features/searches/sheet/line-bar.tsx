'use client'
import { Button } from 'antd'
import { thousands, type Problem } from '@/core/base'
import { nameOf, standingImports, type Line, type Review } from '@/core/review'
import type { Action } from '@/page/actions'
import type { SourceInfo } from '@/standins/source-info'
import { useStaged } from '@/page/use-staged'
import { KeyHint } from '../../shared/key-hint'
import { TakenOverField } from './taken-over'
import type { SheetActions } from './actions/use-sheet-actions'

/** What can be done with the lines that are marked. */
export function JoinBar({
  actions,
  count,
  clear,
}: {
  actions: SheetActions
  count: number
  clear: () => void
}) {
  return (
    <div className="join-bar" role="group" aria-label="Join marked lines">
      <span className="sub">{count} lines marked</span>
      <Button size="small" onClick={actions.any.run}>
        Any of them
        <KeyHint of={actions.any} />
      </Button>
      <Button size="small" onClick={actions.all.run}>
        All of them
        <KeyHint of={actions.all} />
      </Button>
      <Button size="small" onClick={actions.subtract.run}>
        First less the others
        <KeyHint of={actions.subtract} />
      </Button>
      <button className="plain link sub" onClick={clear}>
        unmark
      </button>
    </div>
  )
}

/** About the chosen line: its note, when and by whom it was run, its records, what is wrong with it. */
export function LineBar({
  review,
  info,
  line,
  number,
  problems,
  hits,
  bring,
  busy,
}: {
  review: Review
  info: SourceInfo
  line: Line
  number: number
  problems: readonly Problem[]
  hits: number | undefined
  bring: Action
  busy: boolean
}) {
  const note = useStaged(`line-note-${line.id}`, line.note, (text) => ({
    kind: 'line.change',
    payload: { sourceId: info.source.id, id: line.id, note: text },
  }))
  const run = review.runs.findLast((r) => r.lineId === line.id)
  const brought = standingImports(review)
    .filter((i) => i.sourceId === info.source.id)
    .reduce((n, i) => n + i.count, 0)
  const caps = info.profile?.caps
  const most = caps?.exported ?? caps?.shown
  return (
    <div className="line-bar">
      <span className="sub">Line {number}</span>
      <input
        className="bare-input serif"
        aria-label={`Note on line ${number}`}
        placeholder="a note on this line"
        {...note}
      />
      <TakenOverField key={line.id} sourceId={info.source.id} line={line} number={number} />
      <span className="sub">
        {run &&
          [
            // Of a search of before only the day is known.
            `run ${run.at.slice(0, 10)}${run.how === 'before' ? '' : ` ${run.at.slice(11, 16)}`}`,
            nameOf(review, run.by),
          ]
            .filter(Boolean)
            .join(', ')}
      </span>
      {hits !== undefined && info.standin && (
        <Button
          size="small"
          disabled={busy}
          onClick={bring.run}
          title={
            brought
              ? `${thousands(brought)} records of this source are in the review; bringing others in takes their place (Shift+B: beside them).`
              : 'They go to Records, and from there to Selection.'
          }
        >
          Bring the {thousands(hits)} records of line {number} in
          <KeyHint of={bring} />
        </Button>
      )}
      {hits !== undefined && most !== undefined && hits > most && (
        <p className="sub warn">
          {info.short} hands out at most {thousands(most)} of these {thousands(hits)}: split the line by
          years.
        </p>
      )}
      {problems.length > 0 && (
        <ul className="problem-list" aria-label="Problems of the chosen line">
          {problems.map((p, i) => (
            <li key={i} className={p.severity}>
              {p.message}
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}
