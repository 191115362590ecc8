'use client'
import { App, Button } from 'antd'
import { useMemo, useState } from 'react'
import type { Problem } from '@/core/base'
import { thousands } from '@/core/base'
import { currentRuns } from '@/core/account'
import { parse, referredLines, type LimitKind } from '@/core/query'
import { draftStrategy } from '@/core/strategy'
import type { Line, Review, Source } from '@/core/review'
import { draftSource, LATEST, releaseWords, standin } from '@/standins'
import { useActions, type Action } from '@/store/actions'
import { act, newId, useSession } from '@/store/session'
import { Joints } from './joints-drawing'
import { LineEditor } from './line-editor'
import { LineRow } from './line-row'
import { bringRecords, runStale } from './run'
import { Translation } from './translation'

/** The sheets: one a source, a row a line. */
export function SearchesStage() {
  const review = useSession((s) => s.folded.review)
  const databases = review.sources.filter((s) => standin(s.profileId))
  const [sourceId, setSourceId] = useState<string>()
  const source = databases.find((s) => s.id === sourceId) ?? databases[0]
  if (!source)
    return (
      <>
        <h1>Searches</h1>
        <p className="empty">
          A sheet for each database will stand here. Choose where to look under Question (<kbd>⇧1</kbd>): the
          databases that ship with Luvren really search, with invented records.
        </p>
      </>
    )
  return (
    <>
      {databases.length > 1 && (
        <div className="tabs" role="tablist" aria-label="Sources">
          {databases.map((s) => (
            <button
              key={s.id}
              className="plain"
              role="tab"
              aria-selected={s.id === source.id}
              onClick={() => setSourceId(s.id)}
            >
              {standin(s.profileId)?.short}
              <i>{lastHits(review, s.id)}</i>
            </button>
          ))}
        </div>
      )}
      <Sheet key={source.id} review={review} source={source} />
    </>
  )
}

/** The limits of the plan that a source has: one that it does not have is no gap in its lines. */
function plannedKinds(review: Review, profileId: string | undefined): LimitKind[] {
  const info = standin(profileId)
  const kinds = review.limits.map((l) => l.limit.kind)
  return info ? kinds.filter((kind) => draftSource(info).hasLimit(kind)) : kinds
}

/** Hits of a strategy's last line, if it is current. */
function lastHits(review: Review, sourceId: string): string {
  const last = review.strategies[sourceId]?.at(-1)
  const run = last && currentRuns(review, sourceId).get(last.id)
  return run ? thousands(run.hits) : ''
}

/** The letters of the concepts that feed each line, by number. */
function lettersOf(review: Review, lines: readonly Line[]): string[][] {
  const all: string[][] = []
  lines.forEach((line, i) => {
    const own = review.concepts.find((c) => c.id === line.conceptId)?.letter
    const { tree } = parse(line.text)
    const below = tree ? referredLines(tree).flatMap((n) => (n <= i ? (all[n - 1] ?? []) : [])) : []
    all.push([...new Set(own ? [own] : below)].sort())
  })
  return all
}

/** The limits that hold for each line: its own and those of the lines it refers to. */
function appliedLimits(lines: readonly Line[]): LimitKind[][] {
  const all: LimitKind[][] = []
  lines.forEach((line, i) => {
    const { tree } = parse(line.text)
    const below = tree ? referredLines(tree).flatMap((n) => (n <= i ? (all[n - 1] ?? []) : [])) : []
    all.push([...new Set([...below, ...line.limits.map((l) => l.kind)])])
  })
  return all
}

function Sheet({ review, source }: { review: Review; source: Source }) {
  const info = standin(source.profileId)!
  const { message } = App.useApp()
  const lines = useMemo(() => review.strategies[source.id] ?? [], [review.strategies, source.id])
  const [chosenId, setChosenId] = useState<string>()
  const [editing, setEditing] = useState<string>()
  const [busy, setBusy] = useState<string>()
  const [problems, setProblems] = useState<ReadonlyMap<string, readonly Problem[]>>(new Map())
  const runs = useMemo(() => currentRuns(review, source.id), [review, source.id])
  const letters = useMemo(() => lettersOf(review, lines), [review, lines])
  const applied = useMemo(() => appliedLimits(lines), [lines])
  const planned = useMemo(() => plannedKinds(review, source.profileId), [review, source.profileId])
  const stale = lines.filter((l) => !runs.has(l.id)).length
  const chosen = lines.find((l) => l.id === chosenId) ?? lines[lines.length - 1]
  const brought = review.imports.find((i) => i.sourceId === source.id)

  const actions = useMemo<Action[]>(() => {
    const at = lines.findIndex((l) => l.id === chosen?.id)
    const work = (words: string, job: () => Promise<unknown>) => (): void => {
      setBusy(words)
      void job()
        .catch((error: unknown) => message.error(error instanceof Error ? error.message : String(error)))
        .finally(() => setBusy(undefined))
    }
    const some = (): boolean => chosen !== undefined && busy === undefined
    return [
      {
        id: 'draft',
        label: lines.length ? 'Draft anew' : 'Draft from the plan',
        key: 'D',
        strip: true,
        // Lines that were edited by hand are not thrown away by a key.
        when: () => busy === undefined && lines.every((l) => l.drafted),
        run: () => {
          const plan = {
            concepts: review.concepts,
            terms: review.terms,
            limits: review.limits.map((l) => l.limit),
          }
          const drafted = draftStrategy(plan, source.id, draftSource(info))
          if (!drafted.length)
            return void message.info('There is nothing to draft from yet: put terms into the grid first.')
          void act('strategy.draft', {
            sourceId: source.id,
            lines: drafted.map((l) => ({ id: newId(), note: '', drafted: true, ...l })),
          })
        },
      },
      {
        id: 'run',
        label: stale ? `Run ${stale} stale` : 'Run',
        key: 'R',
        strip: true,
        when: () => busy === undefined && lines.length > 0,
        run: work('Searching …', async () => setProblems(await runStale(source))),
      },
      {
        id: 'line-edit',
        label: 'Edit',
        key: 'Enter',
        strip: true,
        when: some,
        run: () => setEditing(chosen?.id),
      },
      {
        id: 'line-new',
        label: 'New line',
        key: 'N',
        strip: true,
        run: () => {
          const id = newId()
          void act('line.add', {
            sourceId: source.id,
            line: { id, text: '', limits: [], note: '', drafted: false },
            at: lines.length,
          })
          setChosenId(id)
          setEditing(id)
        },
      },
      {
        id: 'line-remove',
        label: 'Remove the line',
        key: 'Delete',
        when: some,
        run: () => chosen && void act('line.remove', { sourceId: source.id, id: chosen.id }),
      },
      {
        id: 'line-up',
        label: 'Line above',
        key: 'ArrowUp',
        when: () => at > 0,
        run: () => setChosenId(lines[at - 1]?.id),
      },
      {
        id: 'line-down',
        label: 'Line below',
        key: 'ArrowDown',
        when: () => at < lines.length - 1,
        run: () => setChosenId(lines[at + 1]?.id),
      },
      {
        id: 'bring',
        label: 'Bring records in',
        key: 'B',
        strip: true,
        when: () => some() && runs.has(chosen!.id),
        run: work('Bringing records in …', async () => {
          const { count, hits } = await bringRecords(source, chosen!)
          if (count === hits) message.success(`${thousands(count)} records are in the review.`)
          else
            message.warning(
              `${info.name} hands out at most ${thousands(count)}: these records are in the review, ${thousands(hits - count)} of the hits are not. Split the line by years to get them all.`,
              8,
            )
        }),
      },
    ]
  }, [busy, chosen, info, lines, message, review, runs, source, stale])
  useActions('searches', actions)
  const action = (id: string): Action => actions.find((a) => a.id === id)!

  return (
    <>
      <div className="sheet-title" data-anchor={`source:${source.id}`}>
        <h1>{info.name}</h1>
        <span className="sub">
          {releaseWords(LATEST)} · {info.character}
        </span>
        <span style={{ marginLeft: 'auto', display: 'flex', gap: 8 }}>
          {!lines.length || lines.every((l) => l.drafted) ? (
            <Button onClick={action('draft').run} type={lines.length ? 'default' : 'primary'}>
              {lines.length ? 'Draft anew' : 'Draft from the plan'}
              <kbd>D</kbd>
            </Button>
          ) : null}
          <Button
            type={stale ? 'primary' : 'default'}
            disabled={!lines.length || busy !== undefined}
            onClick={action('run').run}
          >
            {busy ?? (stale ? `Run ${stale} stale` : 'All run')}
            <kbd>R</kbd>
          </Button>
        </span>
      </div>
      {lines.length ? (
        <div role="table" aria-label={`Lines of ${info.name}`}>
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
              line.id === editing ? (
                <LineEditor
                  key={line.id}
                  source={source}
                  line={line}
                  number={i + 1}
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
                  letters={letters[i]!}
                  run={runs.get(line.id)}
                  before={review.runs.findLast((r) => r.lineId === line.id)}
                  planned={planned}
                  applied={applied[i]!}
                  chosen={line.id === chosen?.id}
                  problems={problems.get(line.id) ?? []}
                  choose={() => setChosenId(line.id)}
                  edit={() => setEditing(line.id)}
                />
              ),
            )}
          </div>
        </div>
      ) : (
        <p className="empty">
          The lines of this strategy will stand here: for each concept its words and its headings, joined with
          OR; the essential concepts joined with AND; then the limits, one at a time. <kbd>D</kbd> drafts them
          from the grid, <kbd>N</kbd> begins one by hand.
        </p>
      )}
      {chosen && (problems.get(chosen.id) ?? []).length > 0 && (
        <ul className="problem-list" aria-label="Problems of the chosen line">
          {problems.get(chosen.id)!.map((p, i) => (
            <li key={i} className={p.severity}>
              {p.message}
            </li>
          ))}
        </ul>
      )}
      {chosen && runs.has(chosen.id) && (
        <div style={{ display: 'flex', gap: 12, alignItems: 'center', marginTop: 16 }}>
          <Button disabled={busy !== undefined} onClick={action('bring').run}>
            Bring the {thousands(runs.get(chosen.id)!.hits)} records of line {lines.indexOf(chosen) + 1} in
            <kbd>B</kbd>
          </Button>
          <span className="sub">
            {brought
              ? `${thousands(brought.count)} records of this database are in the review; bringing others in takes their place.`
              : 'They go to Records, and from there to Selection.'}
          </span>
        </div>
      )}
      {chosen && <Translation line={chosen} number={lines.indexOf(chosen) + 1} lines={lines} info={info} />}
    </>
  )
}
