'use client'
import { Select } from 'antd'
import { useState } from 'react'
import { thousands } from '@/core/base'
import { languageName } from '@/core/query'
import { RECORD_FACETS, type ChosenFacets, type RecordFacet } from '@/core/records'
import type { Line, Review } from '@/core/review'
import { useAsked } from '@/page/use-asked'
import type { SourceInfo } from '@/standins/source-info'
import { searchDesk, type Peek as Found, type PeekOrder } from '@/workers'
import { useMarker } from '../../shared/use-marks'
import { PeekRecord } from './peek-record'
import { UseOfPeek } from './use-of-peek'

const ORDERS: PeekOrder[] = ['newest', 'relevance', 'times cited', 'title']
const NAMES: Record<RecordFacet, string> = {
  heading: 'Headings',
  keyword: 'Author keywords',
  year: 'Years',
  type: 'Types',
  language: 'Languages',
  place: 'Places studied',
}

/** A look at the records of a line: marked words in context, and facets that can be taken in, left out or harvested. */
export function Peek({
  review,
  info,
  lines,
  line,
  number,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  line: Line
  number: number
}) {
  const [order, setOrder] = useState<PeekOrder>('newest')
  const [chosen, setChosen] = useState<ChosenFacets>({})
  const found = usePeek(info, lines, line, order, chosen)
  const marker = useMarker(review)
  if (!info.standin)
    return <p className="empty">Its records lie outside: bring the export file in, then look at Records.</p>
  if (!found) return <p className="empty">Looking …</p>
  const toggle = (facet: RecordFacet, value: string): void =>
    setChosen((c) => {
      const own = c[facet] ?? []
      return { ...c, [facet]: own.includes(value) ? own.filter((v) => v !== value) : [...own, value] }
    })
  const some = RECORD_FACETS.some((f) => chosen[f]?.length)
  return (
    <section className="peek" aria-label="Peek">
      <div>
        <p className="sub in-row on-line">
          Line {number} finds {thousands(found.hits)}
          {some && `, ${thousands(found.left)} with what is chosen`}; by
          <Select
            size="small"
            variant="borderless"
            aria-label="Order of the records"
            popupMatchSelectWidth={false}
            value={order}
            options={ORDERS.map((value) => ({ value, label: value }))}
            onChange={setOrder}
          />
        </p>
        {found.records.slice(0, 20).map((r) => (
          <PeekRecord key={r.id} record={r} marks={marker(r)} />
        ))}
        {!found.records.length && <p className="empty">No record.</p>}
      </div>
      <div>
        {some && (
          <UseOfPeek
            review={review}
            info={info}
            lines={lines}
            number={number}
            chosen={chosen}
            done={() => setChosen({})}
          />
        )}
        {RECORD_FACETS.map((facet) =>
          found.facets[facet].values.length ? (
            <div key={facet} role="group" aria-label={NAMES[facet]}>
              <h3 className="offer-head of-facet">
                <span>{NAMES[facet]}</span>
                <span className="number">with</span>
                <span className="number">without</span>
              </h3>
              {found.facets[facet].values
                .slice(0, facet === 'heading' || facet === 'keyword' ? 10 : 6)
                .map((f) => (
                  <button
                    key={f.value}
                    className="plain offer-row of-facet"
                    aria-pressed={chosen[facet]?.includes(f.value) ?? false}
                    onClick={() => toggle(facet, f.value)}
                  >
                    <span>
                      {chosen[facet]?.includes(f.value) && '✓ '}
                      {facet === 'language' ? languageName(f.value) : f.value}
                    </span>
                    <span className="number">{thousands(f.count)}</span>
                    <span className="number sub">{thousands(found.facets[facet].of - f.count)}</span>
                  </button>
                ))}
            </div>
          ) : null,
        )}
      </div>
    </section>
  )
}

function usePeek(
  info: SourceInfo,
  lines: readonly Line[],
  line: Line,
  order: PeekOrder,
  chosen: ChosenFacets,
): Found | undefined {
  const id = info.searched
  return useAsked(
    () => (id ? searchDesk().peek(id, [...lines], line.id, order, chosen) : undefined),
    [id, lines, line.id, order, chosen],
    { keep: true },
  ).value
}
