'use client'
import { Button, Select } from 'antd'
import { useCallback, useEffect, useMemo, useState, type MouseEvent } from 'react'
import { plural, thousands, type Problem } from '@/core/base'
import type { Line, Review } from '@/core/review'
import { finalNumber, withNeeded } from '@/core/strategy'
import { LATEST, RELEASES, releaseWords } from '@/standins'
import { useActions, type Action } from '@/store/actions'
import { act } from '@/store/session'
import type { SourceInfo } from '@/store/source-info'
import { useStaged } from '@/store/use-staged'
import { useSplit } from '@/ui/split'
import { Working } from '@/ui/working'
import { PlanLines } from '../shared/plan-lines'
import { addLine } from './add-line'
import { Advice, openRemarks } from './advice'
import { Again } from './again'
import { Board } from './board'
import { ByHand, Described } from './by-hand'
import { CarryDialog } from './carry-dialog'
import { DescribedEditor } from './described-editor'
import { HistoryDialog } from './history-dialog'
import { Joints } from './joints-drawing'
import { Ledger, standingsOf } from './ledger'
import { LineEditor } from './line-editor'
import { LineRow } from './line-row'
import { Peek } from './peek'
import { RedraftDialog } from './redraft-dialog'
import { useSheetActions, type Busy } from './sheet-actions'
import { sheetView } from './sheet-lines'
import { Steps } from './steps'
import { Translation } from './translation'
import { useJudgement } from './use-judgement'
import { Versions } from './versions'
import { Yields } from './yields'

const PANES = [
  { id: 'translation', key: '1', label: 'Translation' },
  { id: 'limits', key: '2', label: 'Limits' },
  { id: 'versions', key: '3', label: 'Versions' },
  { id: 'plan', key: '4', label: 'Plan' },
  { id: 'advice', key: '5', label: 'Advice' },
  { id: 'known', key: '6', label: 'Known items' },
  { id: 'yield', key: '7', label: 'Yield' },
  { id: 'peek', key: '8', label: 'Peek' },
  { id: 'steps', key: '9', label: 'Steps' },
  { id: 'again', key: '0', label: 'Again' },
] as const
type Pane = (typeof PANES)[number]['id']
const READING: ReadonlySet<Pane> = new Set<Pane>(['advice', 'known', 'yield', 'peek', 'steps', 'again'])
const JUDGING: ReadonlySet<Pane> = new Set<Pane>(['advice', 'known', 'yield'])
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
  const { source } = info
  const lines = useMemo(() => review.strategies[source.id] ?? [], [review.strategies, source.id])
  const [chosenId, setChosenId] = useState<string>()
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
  const chosen = lines.find((l) => l.id === chosenId) ?? lines[lines.length - 1]
  const { judgement, work } = useJudgement(review, info, lines)
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
    [],
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
  const choose = useCallback((id: string, event: MouseEvent): void => {
    setChosenId(id)
    if (!event.shiftKey && !event.ctrlKey && !event.metaKey) return
    setMarked((before) => {
      const next = new Set(before)
      if (!next.delete(id)) next.add(id)
      return next
    })
  }, [])
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
                  void act('source.set', release === LATEST ? rest : { ...rest, release })
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
          <div className="rest">
            {pane === 'translation' && chosen?.described !== undefined && (
              <Described
                key={chosen.id}
                line={chosen}
                number={lines.indexOf(chosen) + 1}
                lines={lines}
                info={info}
                logged={logged}
              />
            )}
            {pane === 'translation' && chosen && chosen.described === undefined && info.standin && (
              <Translation
                line={chosen}
                number={lines.indexOf(chosen) + 1}
                lines={lines}
                info={info.standin}
              />
            )}
            {pane === 'translation' &&
              chosen &&
              chosen.described === undefined &&
              !info.standin &&
              info.profile && (
                <ByHand
                  key={chosen.id}
                  line={chosen}
                  number={lines.indexOf(chosen) + 1}
                  lines={lines}
                  info={info}
                  logged={logged}
                />
              )}
            {pane === 'limits' && (
              <Ledger
                review={review}
                info={info}
                lines={lines}
                apply={(limit) => addLine(source.id, lines, `#${finalNumber(lines)}`, { limits: [limit] })}
              />
            )}
            {pane === 'versions' && <Versions info={info} lines={lines} chosen={chosen} />}
            {pane === 'plan' && <PlanLines review={review} sources={infos} />}
            {pane === 'advice' && judgement && (
              <Advice review={review} info={info} lines={lines} judgement={judgement} choose={setChosenId} />
            )}
            {JUDGING.has(pane) && !judgement && <Working words="Reading the strategy" work={work} />}
            {(pane === 'known' || pane === 'yield') && !info.standin && (
              <p className="empty">
                Its records lie outside: which terms bring what, and which lines miss a known item, can only
                be seen where they are searched.
              </p>
            )}
            {pane === 'known' && judgement && info.standin && (
              <Board review={review} info={info} lines={lines} judgement={judgement} />
            )}
            {pane === 'peek' && chosen && (
              <Peek
                key={chosen.id}
                review={review}
                info={info}
                lines={lines}
                line={chosen}
                number={lines.indexOf(chosen) + 1}
              />
            )}
            {pane === 'again' && (
              <Again review={review} info={info} lines={lines} runAgain={action('run-all').run} />
            )}
            {pane === 'yield' && judgement && info.standin && (
              <Yields review={review} lines={lines} judgement={judgement} />
            )}
            {pane === 'steps' && <Steps review={review} info={info} lines={lines} />}
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

function JoinBar({
  action,
  count,
  clear,
}: {
  action: (id: string) => Action
  count: number
  clear: () => void
}) {
  return (
    <div className="join-bar" role="group" aria-label="Join marked lines">
      <span className="sub">{count} lines marked</span>
      <Button size="small" onClick={action('join-any').run}>
        Any of them<kbd>J</kbd>
      </Button>
      <Button size="small" onClick={action('join-all').run}>
        All of them<kbd>⇧J</kbd>
      </Button>
      <Button size="small" onClick={action('subtract').run}>
        First less the others<kbd>M</kbd>
      </Button>
      <button className="plain link sub" onClick={clear}>
        unmark
      </button>
    </div>
  )
}

/** About the chosen line: its note, when and by whom it was run, its records, what is wrong with it. */
function LineBar({
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
  bring: () => void
  busy: boolean
}) {
  const note = useStaged(`line-note-${line.id}`, line.note, (text) => ({
    kind: 'line.change',
    payload: { sourceId: info.source.id, id: line.id, note: text },
  }))
  const run = review.runs.findLast((r) => r.lineId === line.id)
  const brought = review.imports.filter((i) => i.sourceId === info.source.id).reduce((n, i) => n + i.count, 0)
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
      <span className="sub">{run && `run ${run.at.slice(0, 10)} ${run.at.slice(11, 16)}, ${run.by}`}</span>
      {hits !== undefined && info.standin && (
        <Button
          size="small"
          disabled={busy}
          onClick={bring}
          title={
            brought
              ? `${thousands(brought)} records of this source are in the review; bringing others in takes their place (Shift+B: beside them).`
              : 'They go to Records, and from there to Selection.'
          }
        >
          Bring the {thousands(hits)} records of line {number} in<kbd>B</kbd>
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
