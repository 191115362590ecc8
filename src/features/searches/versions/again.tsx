'use client'
import { chooseLatest } from '@/core/doing'
import { Button, Select } from 'antd'
import { useMemo, useState } from 'react'
import { dateWords } from '@/core/account'
import { plural, thousands } from '@/core/base'
import type { Rec } from '@/core/records'
import type { Line, Review } from '@/core/review'
import { LATEST, releaseWords } from '@/standins'
import { useSession, useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { useAsked } from '@/page/use-asked'
import { Chart } from '@/ui/chart/chart'
import { useMarker } from '../../shared/use-marks'
import { exportsOf, useExportsCompared } from './exports-compared'
import { PeekRecord } from '../panes/peek-record'
import { BringNew } from './bring-new'
import { askAgain, earlierOf, occasionsIn, occasionWords } from './occasions'
import { Reminder } from './reminder'
import { foundAnew } from './update-round'

/** What came and what went since the strategy was run before; when to run it again. */
export function Again({
  review,
  info,
  lines,
  runAgain,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  runAgain: () => void
}) {
  return (
    <section className="again" aria-label="Run again">
      <div>
        {info.standin ? (
          <Occasions review={review} info={info} lines={lines} runAgain={runAgain} />
        ) : (
          <Exports review={review} info={info} />
        )}
      </div>
      <Reminder review={review} info={info} />
    </section>
  )
}

function Occasions({
  review,
  info,
  lines,
  runAgain,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  runAgain: () => void
}) {
  const { deed, doIt } = useStore()
  const { source } = info
  const entries = useSession((s) => s.entries)
  const occasions = useMemo(
    () => occasionsIn(entries, review, source.id, lines),
    [entries, review, source.id, lines],
  )
  const [chosen, setChosen] = useState<string>()
  const after = occasions[occasions.length - 1]
  const older = occasions.slice(0, -1)
  const before = older.find((o) => o.run.id === chosen) ?? (after && earlierOf(older, after))
  const { value: found, failed } = useAsked(() => askAgain(info, before, after), [info, before, after])
  const anew = after && found && foundAnew(review, source, after.run, found)
  const newer = info.release !== LATEST
  return (
    <>
      <h2>Since it was run before</h2>
      {newer && (
        <p className="note">
          <b>There is a newer release.</b> {info.short} is searched as it was, in the{' '}
          {releaseWords(info.release!)}.{' '}
          <Button size="small" onClick={() => deed(doIt(chooseLatest, [source]).then(runAgain))}>
            Run all again in the {releaseWords(LATEST)}
          </Button>
        </p>
      )}
      {!after || !before ? (
        <p className="empty">
          {after
            ? `The last line was run on ${occasionWords(after)}. When it is run again, in a newer release or with other words, what came and what went will stand here.`
            : 'The last line has not been run yet.'}
        </p>
      ) : (
        <>
          <p className="sub in-row on-line wraps">
            <Select
              size="small"
              variant="borderless"
              popupMatchSelectWidth={false}
              aria-label="The earlier time"
              value={before.run.id}
              options={older.map((o) => ({ value: o.run.id, label: occasionWords(o) }))}
              onChange={setChosen}
            />
            <span>then {occasionWords(after)}</span>
            {before.run.key !== after.run.key && <span>(the lines changed between: see Versions)</span>}
          </p>
          {found ? (
            <>
              <BringNew review={review} all={anew ? [anew] : []} />
              <Difference
                review={review}
                gone={found.withdrawn.length + found.lostNow.length}
                both={found.both}
                fresh={found.added.length + found.foundNow.length}
                parts={[
                  { title: 'New: added to the database since', records: found.added },
                  { title: 'New: there before, found only now', records: found.foundNow },
                  { title: 'Gone: withdrawn from the database', records: found.withdrawn },
                  { title: 'Gone: still there, found no more', records: found.lostNow },
                ]}
              />
            </>
          ) : (
            <p className="empty">{failed ?? 'Opening both releases …'}</p>
          )}
        </>
      )}
    </>
  )
}

/** For a database outside: the export files that were brought in at two times. */
function Exports({ review, info }: { review: Review; info: SourceInfo }) {
  const entries = useSession((s) => s.entries)
  const files = useMemo(() => exportsOf(entries, info.source.id), [entries, info.source.id])
  const found = useExportsCompared(files)
  const [before, after] = files.slice(-2)
  return (
    <>
      <h2>Since it was exported before</h2>
      {!before || !after ? (
        <p className="empty">
          When the strategy is run there again and its export is brought in a second time, the two files are
          held against each other here: what came, what went.
        </p>
      ) : (
        <>
          <p className="sub">
            {dateWords(before.at)}: {plural(before.count, 'record')}, then {dateWords(after.at)}:{' '}
            {plural(after.count, 'record')}
          </p>
          {found ? (
            <Difference
              review={review}
              gone={found.gone.length}
              both={found.both}
              fresh={found.fresh.length}
              parts={[
                { title: 'New in the later file', records: found.fresh },
                { title: 'Gone from it', records: found.gone },
              ]}
            />
          ) : (
            <p className="empty">Comparing …</p>
          )}
        </>
      )}
    </>
  )
}

const SHOWN = 60

/** The difference as a bar to be looked at, and as lists to be read. */
function Difference({
  review,
  gone,
  both,
  fresh,
  parts,
}: {
  review: Review
  gone: number
  both: number
  fresh: number
  parts: { title: string; records: readonly Rec[] }[]
}) {
  const marker = useMarker(review)
  return (
    <>
      <Chart
        kind="rows"
        height={150}
        label={`${fresh} new, ${gone} gone, ${both} in both`}
        points={{ name: 'run', of: ['before', 'now'] }}
        counted="records"
        series={[
          { name: 'in both', values: [both, both] },
          { name: 'gone', values: [gone, 0] },
          { name: 'new', values: [0, fresh] },
        ]}
      />
      <p className="sub">
        <b>{thousands(gone)}</b> gone · <b>{thousands(both)}</b> in both · <b>{thousands(fresh)}</b> new
      </p>
      {parts
        .filter((p) => p.records.length)
        .map((p) => (
          <div key={p.title}>
            <h3 className="offer-head">
              {p.title} <span className="number">{thousands(p.records.length)}</span>
            </h3>
            {p.records.slice(0, SHOWN).map((r) => (
              <PeekRecord key={r.id} record={r} marks={marker(r)} />
            ))}
            {p.records.length > SHOWN && (
              <p className="sub">and {thousands(p.records.length - SHOWN)} more: the newest are shown.</p>
            )}
          </div>
        ))}
    </>
  )
}
