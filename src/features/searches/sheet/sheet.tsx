'use client'
import { Button, Select } from 'antd'
import Link from 'next/link'
import { useCallback, useEffect, useMemo, useState, type MouseEvent } from 'react'
import { plural, type Problem } from '@/core/base'
import { termsInUse, type Review } from '@/core/review'
import { withNeeded } from '@/core/strategy'
import { LATEST, RELEASES, releaseWords } from '@/standins'
import { useActions, type Action } from '@/store/actions'
import { useStore } from '@/store/provider'
import type { SourceInfo } from '@/store/source-info'
import { chooseLine, useWhereabouts } from '@/store/whereabouts'
import { useSplit } from '@/ui/split'
import { openRemarks } from '../panes/advice'
import { CarryDialog } from '../history/carry-dialog'
import { DescribedEditor } from './described-editor'
import { HistoryDialog } from '../history/history-dialog'
import { Joints } from './joints-drawing'
import { standingsOf } from '../panes/ledger'
import { JoinBar, LineBar } from './line-bar'
import { LineEditor } from './line-editor'
import { LineRow } from './line-row'
import { RedraftDialog } from '../history/redraft-dialog'
import { useSheetActions, type Busy } from './sheet-actions'
import { sheetView } from './sheet-lines'
import { PANES, READING, SheetPane, type Pane } from './sheet-pane'
import { useJudgement } from '../panes/use-judgement'

const NO_PROBLEMS: readonly Problem[] = []

/** The sheet of one source: its lines, what can be done with them, and below what belongs to the chosen line. */
export function Sheet({
  review,
  info,
  infos,
  open,
}: {
  review: Review
  info: SourceInfo
  infos: readonly SourceInfo[]
  open: (sourceId: string) => void
}) {
  const { act, deed } = useStore()
  const { source } = info
  const lines = useMemo(() => review.strategies[source.id] ?? [], [review.strategies, source.id])
  const chosenId = useWhereabouts((s) => s.lines[source.id])
  const setChosenId = useCallback((id: string | undefined) => chooseLine(source.id, id), [source.id])
  const [marked, setMarked] = useState<ReadonlySet<string>>(new Set())
  const [editing, setEditing] = useState<string>()
  const [busy, setBusy] = useState<Busy>()
  const [problems, setProblems] = useState<ReadonlyMap<string, readonly Problem[]>>(new Map())
  const [pane, setPane] = useState<Pane>('translation')
  const [dialog, setDialog] = useState<'redraft' | 'carry' | 'history'>()
  // Where one reads below, the sheet takes less of the room; each way remembers what it was dragged to.
  const writing = useSplit('searches', 55)
  const reading = useSplit('searches-reading', 33)
  const { part, handle } = READING.has(pane) ? reading : writing
  const view = useMemo(() => sheetView(review, info), [review, info])
  const stale = lines.filter((l) => !view.runs.has(l.id)).length
  // Until one is chosen: outside, the next line to be run there; else the last, which says what was found.
  const chosen =
    lines.find((l) => l.id === chosenId) ??
    (info.searched ? undefined : lines.find((l) => !view.runs.has(l.id))) ??
    lines[lines.length - 1]
  const judged = useJudgement(review, info, lines)
  const { judgement } = judged
  const set = useMemo(
    () => ({
      choose: setChosenId,
      mark: setMarked,
      edit: setEditing,
      busy: setBusy,
      outcome: (o: { problems: Map<string, Problem[]> }) => setProblems(o.problems),
      redraft: () => setDialog('redraft'),
      carry: () => setDialog('carry'),
      history: () => setDialog('history'),
    }),
    [setChosenId],
  )
  const own = useSheetActions({ review, info, lines, view, chosen, marked, busy, set })
  const actions = useMemo<Action[]>(
    () => [
      ...own,
      ...PANES.map((p) => ({
        id: `searches-pane-${p.id}`,
        label: p.label,
        key: p.key,
        run: () => setPane(p.id),
      })),
    ],
    [own],
  )
  useActions('searches', actions)
  /** After a line was logged the next one that is still to be run is chosen. */
  const logged = (): void => {
    const at = lines.findIndex((l) => l.id === chosen?.id)
    const next = [...lines.slice(at + 1), ...lines.slice(0, at)].find((l) => !view.runs.has(l.id))
    if (next) setChosenId(next.id)
  }
  const action = (id: string): Action => actions.find((a) => a.id === id)!
  const choose = useCallback(
    (id: string, event: MouseEvent): void => {
      setChosenId(id)
      if (!event.shiftKey && !event.ctrlKey && !event.metaKey) return
      setMarked((before) => {
        const next = new Set(before)
        if (!next.delete(id)) next.add(id)
        return next
      })
    },
    [setChosenId],
  )
  // The latest run of each line, whatever it asked then.
  const latest = useMemo(() => new Map(review.runs.map((r) => [r.lineId, r])), [review.runs])
  useEffect(() => {
    document.querySelector('.sheet-row.on')?.scrollIntoView({ block: 'nearest' })
  }, [chosen?.id, part])
  const missing = standingsOf(review, info).filter((s) =>
    ['lost', 'other', 'forgotten'].includes(s.standing.state),
  ).length
  const remarks = openRemarks(review, source.id, judgement).length

  return (
    <>
      <div className="sheet-title" data-anchor={`source:${source.id}`}>
        <h1>{source.name}</h1>
        <span className="sub">
          {info.release ? (
            <>
              <Select
                size="small"
                variant="borderless"
                popupMatchSelectWidth={false}
                className="release"
                aria-label="Release that is searched"
                value={info.release}
                options={RELEASES.map((value) => ({ value: value as string, label: releaseWords(value) }))}
                onChange={(release) => {
                  const { release: _before, ...rest } = source
                  deed(act('source.set', release === LATEST ? rest : { ...rest, release }))
                  // The keys belong to the sheet again.
                  ;(document.activeElement as HTMLElement | null)?.blur()
                }}
              />{' '}
              · {info.standin?.character}
            </>
          ) : (
            'searched by hand'
          )}
        </span>
        <span style={{ marginLeft: 'auto', display: 'flex', gap: 8 }}>
          <Button
            onClick={action('draft').run}
            type={lines.length ? 'default' : 'primary'}
            disabled={busy !== undefined}
          >
            {lines.length ? 'Draft anew' : 'Draft from the plan'}
            <kbd>D</kbd>
          </Button>
          {busy ? (
            <Button onClick={busy.stop}>{busy.words} Stop</Button>
          ) : !info.standin ? (
            <span className="sub" style={{ alignSelf: 'center' }}>
              {!lines.length
                ? ''
                : stale
                  ? `${stale} of ${plural(lines.length, 'line')} still to be run there`
                  : 'every line logged'}
            </span>
          ) : (
            <Button
              type={stale ? 'primary' : 'default'}
              disabled={!lines.length}
              onClick={action(stale ? 'run' : 'run-all').run}
            >
              {stale ? `Run ${stale} stale` : 'All run'}
              <kbd>{stale ? 'R' : '⇧R'}</kbd>
            </Button>
          )}
        </span>
      </div>
      {!lines.length ? (
        <p className="empty">
          The lines of this strategy will stand here: for each concept its words and its headings, joined with
          OR; the essential concepts joined with AND; then the limits, one at a time. <kbd>D</kbd> drafts them
          from the grid, <kbd>N</kbd> begins one by hand, <kbd>H</kbd> takes over a history that you copied or
          saved there.
          {!termsInUse(review).length && (
            <>
              {' '}
              The grid is still empty: its words and headings come from{' '}
              <Link href={`/review/${review.id}/terms`}>Terms</Link> (<kbd>⇧2</kbd>).
            </>
          )}
        </p>
      ) : (
        <>
          <div
            className="sheet-room"
            style={{ maxHeight: `${part}%` }}
            tabIndex={0}
            role="group"
            aria-label="Lines"
          >
            <div role="table" aria-label={`Lines of ${source.name}`}>
              <div className="sheet-head" role="row">
                <span role="columnheader" />
                <span role="columnheader" />
                <span role="columnheader" />
                <span role="columnheader">line</span>
                <span role="columnheader" style={{ textAlign: 'right', paddingRight: 12 }}>
                  limits
                </span>
                <span role="columnheader" style={{ textAlign: 'right', paddingRight: 10 }}>
                  hits
                </span>
                <span role="columnheader" />
              </div>
              <div className="sheet" role="rowgroup">
                <Joints texts={lines.map((l) => l.text)} editing={lines.findIndex((l) => l.id === editing)} />
                {lines.map((line, i) =>
                  line.id === editing && line.described !== undefined ? (
                    <DescribedEditor
                      key={line.id}
                      sourceId={source.id}
                      line={line}
                      number={i + 1}
                      close={() => setEditing(undefined)}
                    />
                  ) : line.id === editing ? (
                    <LineEditor
                      key={line.id}
                      source={source}
                      line={line}
                      number={i + 1}
                      above={lines.slice(0, i).map((l) => l.text)}
                      close={() => {
                        setEditing(undefined)
                        setProblems(new Map())
                      }}
                    />
                  ) : (
                    <LineRow
                      key={line.id}
                      line={line}
                      number={i + 1}
                      concept={review.concepts.find((c) => c.id === line.conceptId)}
                      letters={view.letters[i]!}
                      run={view.runs.get(line.id)}
                      before={latest.get(line.id)}
                      planned={view.planned}
                      applied={view.applied[i]!}
                      chosen={line.id === chosen?.id}
                      marked={marked.has(line.id)}
                      change={view.changes.get(line.id)}
                      problems={problems.get(line.id) ?? NO_PROBLEMS}
                      choose={choose}
                      edit={setEditing}
                    />
                  ),
                )}
              </div>
            </div>
            <p className="sub sheet-more">
              <button className="plain link" onClick={action('line-new').run}>
                New line
              </button>{' '}
              ·{' '}
              <button className="plain link" onClick={action('line-described').run}>
                A search without text: a form filled in, a journal browsed
              </button>
            </p>
          </div>
          <div {...handle} />
          {marked.size > 1 && (
            <JoinBar action={action} count={marked.size} clear={() => setMarked(new Set())} />
          )}
          {chosen && (
            <LineBar
              key={chosen.id}
              review={review}
              info={info}
              line={chosen}
              number={lines.indexOf(chosen) + 1}
              problems={problems.get(chosen.id) ?? []}
              hits={view.runs.get(chosen.id)?.hits}
              bring={action('bring').run}
              busy={busy !== undefined}
            />
          )}
          <div className="tabs" role="tablist" aria-label="Below the sheet">
            {PANES.map((p) => (
              <button
                key={p.id}
                className="plain"
                role="tab"
                aria-selected={p.id === pane}
                onClick={() => setPane(p.id)}
              >
                {p.label}
                {p.id === 'limits' && missing > 0 && <i className="warn">{missing}</i>}
                {p.id === 'advice' && remarks > 0 && <i className="warn">{remarks}</i>}
                {p.id === 'known' && judgement && judgement.board.length > 0 && (
                  <i>
                    {judgement.board.filter((b) => b.atLast).length} of {judgement.board.length}
                  </i>
                )}
                <kbd>{p.key}</kbd>
              </button>
            ))}
          </div>
          <div
            className="rest"
            role="tabpanel"
            tabIndex={0}
            aria-label={PANES.find((p) => p.id === pane)!.label}
          >
            <SheetPane
              pane={pane}
              review={review}
              info={info}
              infos={infos}
              lines={lines}
              chosen={chosen}
              judged={judged}
              choose={setChosenId}
              logged={logged}
              runAgain={action('run-all').run}
            />
          </div>
        </>
      )}
      {dialog === 'redraft' && (
        <RedraftDialog review={review} info={info} lines={lines} close={() => setDialog(undefined)} />
      )}
      {dialog === 'history' && (
        <HistoryDialog review={review} info={info} lines={lines} close={() => setDialog(undefined)} />
      )}
      {dialog === 'carry' && (
        <CarryDialog
          review={review}
          from={info}
          infos={infos}
          lines={marked.size ? withNeeded(lines, marked) : lines}
          add={marked.size > 0}
          close={(carriedTo) => {
            setDialog(undefined)
            if (carriedTo) open(carriedTo)
          }}
        />
      )}
    </>
  )
}
