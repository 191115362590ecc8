'use client'
import { Button, Select } from 'antd'
import { useState } from 'react'
import { plural, thousands } from '@/core/base'
import { drawOverlap, overlapTable, type Overlap } from '@/core/records'
import { useSession } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { fileName, saveFile } from '@/ui/save-file'
import { Chart } from '@/ui/chart/chart'
import { recordsDesk } from '@/workers'
import { SaveFigure } from '../../shared/save-figure'
import { useSourceNames, type Desk } from '../use-desk'

/** What each source gave and what they have in common: a row for each set of sources, with a bar as long as its works. */
export function OverlapPane({ desk, show }: { desk: Desk; show: (sources: readonly string[]) => void }) {
  const review = useSession((s) => s.folded.review)
  const { order, nameOf } = useSourceNames(review)
  const { value: overlap, failed } = useAsked(
    () => (desk.version ? recordsDesk().overlap(order) : undefined),
    [desk.version, order],
    { keep: true },
  )
  if (!overlap) return <p className="empty">{failed ?? 'Counting …'}</p>
  const name = (ending: string): string => fileName(`${review.title} sources`, ending)
  return (
    <div className="overlap">
      <section aria-label="Works by the sources that found them">
        <Rows overlap={overlap} nameOf={nameOf} show={show} />
        <p className="overlap-save">
          <SaveFigure svg={() => drawOverlap(overlap, nameOf)} name={name} />
          <Button
            size="small"
            onClick={() =>
              saveFile(
                name('csv'),
                overlapTable(overlap, nameOf)
                  .map((row) =>
                    row.map((c) => (/[",\n]/.test(c) ? `"${c.replaceAll('"', '""')}"` : c)).join(','),
                  )
                  .join('\r\n'),
                'text/csv',
              )
            }
          >
            Table (CSV)
          </Button>
        </p>
      </section>
      <section>
        <h2>Each source, in the order of searching</h2>
        <table className="overlap-table">
          <thead>
            <tr>
              <th scope="col">Source</th>
              <th scope="col">works</th>
              <th scope="col">nowhere else</th>
              <th scope="col">elsewhere too</th>
              <th scope="col">new then</th>
              <th scope="col">known after</th>
            </tr>
          </thead>
          <tbody>
            {overlap.sources.map((s) => (
              <tr key={s.id}>
                <th scope="row">{nameOf(s.id)}</th>
                <td>{thousands(s.works)}</td>
                <td>{thousands(s.alone)}</td>
                <td>{Math.round(s.shared * 100)} %</td>
                <td>+{thousands(s.added)}</td>
                <td>{thousands(s.known)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="overlap-words">{inWords(overlap, nameOf)}</p>
        <Years desk={desk} order={order} nameOf={nameOf} />
      </section>
    </div>
  )
}

/** Works by year, of one source before all of them. */
function Years({
  desk,
  order,
  nameOf,
}: {
  desk: Desk
  order: readonly string[]
  nameOf: (id: string) => string
}) {
  const [chosen, setChosen] = useState<string>()
  const { value: found } = useAsked(
    () => (desk.version ? recordsDesk().byYear() : undefined),
    [desk.version],
    { keep: true },
  )
  if (!found?.years.length) return null
  const own = chosen === undefined ? undefined : found.bySource[chosen]
  const others = found.works.map((n, i) => n - (own?.[i] ?? 0))
  return (
    <>
      <h2>Works by year</h2>
      <Select
        size="small"
        variant="borderless"
        popupMatchSelectWidth={false}
        aria-label="Works of which source"
        value={chosen ?? ''}
        options={[
          { value: '', label: 'all sources' },
          ...order.filter((id) => found.bySource[id]).map((id) => ({ value: id, label: nameOf(id) })),
        ]}
        onChange={(id) => setChosen(id || undefined)}
      />
      <Chart
        kind="bars"
        label={`Works by year${chosen === undefined ? '' : `, those found in ${nameOf(chosen)} before the others`}`}
        points={{ name: 'year', of: found.years }}
        counted="works"
        series={
          own
            ? [
                { name: `found in ${nameOf(chosen!)}`, values: own },
                { name: 'found elsewhere only', values: others },
              ]
            : [{ name: 'works', values: found.works }]
        }
      />
      {found.without > 0 && <p className="sub">{plural(found.without, 'work')} without a year.</p>}
    </>
  )
}

function Rows({
  overlap: { sources, sets },
  nameOf,
  show,
}: {
  overlap: Overlap
  nameOf: (id: string) => string
  show: (sources: readonly string[]) => void
}) {
  const columns = sources.filter((s) => s.works > 0)
  const longest = Math.max(1, ...sets.map((s) => s.works))
  return (
    <div className="overlap-rows">
      <div className="overlap-names" aria-hidden>
        {columns.map((s) => (
          <span key={s.id}>
            <b>{nameOf(s.id)}</b>
          </span>
        ))}
      </div>
      {sets.map((set) => (
        <button
          key={set.sources.join()}
          className="plain overlap-row"
          title="see these works"
          onClick={() => show(set.sources)}
        >
          <span className="hidden-text">
            {plural(set.works, 'work')} found in {set.sources.map(nameOf).join(' and ')}
            {set.sources.length === 1 ? ' alone' : ''}
          </span>
          <span className="overlap-dots" aria-hidden>
            {columns.map((s) => (
              <i key={s.id} className={set.sources.includes(s.id) ? 'on' : undefined} />
            ))}
          </span>
          <span className="overlap-bar" aria-hidden>
            <i
              className={set.sources.length === 1 ? 'alone' : undefined}
              style={{ width: `${((set.works / longest) * 100).toFixed(1)}%` }}
            />
            {thousands(set.works)}
          </span>
        </button>
      ))}
    </div>
  )
}

/** The same in a sentence or two. */
function inWords({ works, sources, foundIn }: Overlap, nameOf: (id: string) => string): string {
  const most = [...sources].sort((a, b) => b.alone - a.alone)[0]
  if (!most || !works) return ''
  const once = foundIn[0] ?? 0
  const none = sources.filter((s) => s.works > 0 && s.alone === 0)
  return [
    `${thousands(once)} of the ${plural(works, 'work')} stood in one source only (${Math.round((once / works) * 100)} %), ${thousands(most.alone)} of them in ${nameOf(most.id)}.`,
    ...(none.length
      ? [`${none.map((s) => nameOf(s.id)).join(' and ')} brought nothing that no other source had.`]
      : []),
  ].join(' ')
}
