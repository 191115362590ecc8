'use client'
import { Select } from 'antd'
import { useState } from 'react'
import { thousands } from '@/core/base'
import { languageName, type LimitValue } from '@/core/query'
import { RECORD_FACETS, type ChosenFacets, type RecordFacet } from '@/core/records'
import type { Letter, Line, Review } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { useAsked } from '@/page/use-asked'
import { searchDesk, type Peek as Found, type PeekOrder } from '@/workers'
import { putTerms } from '../../shared/term-commands'
import { useMarker } from '../../shared/use-marks'
import { addLine } from '../sheet/add-line'
import { PeekRecord } from './peek-record'
import { useStore } from '@/page/provider'

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
          <Use
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

/** What can be done with the facets that were chosen: a new line with or without them, a limit, terms in the grid. */
function Use({
  review,
  info,
  lines,
  number,
  chosen,
  done,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  number: number
  chosen: ChosenFacets
  done: () => void
}) {
  const store = useStore()
  const { source } = info
  const words = [
    ...(chosen.heading ?? []).map((h) => `heading: "${h}"`),
    ...(chosen.keyword ?? []).map((k) => `keywords: "${k.replace(/["*?]/g, ' ')}"`),
    ...(chosen.place ?? []).map((p) => `place: "${p}"`),
  ]
  const limits: LimitValue[] = [
    ...(chosen.year?.length
      ? [
          {
            kind: 'years' as const,
            from: Math.min(...chosen.year.map(Number)),
            to: Math.max(...chosen.year.map(Number)),
          },
        ]
      : []),
    ...(chosen.language?.length ? [{ kind: 'language' as const, values: [...chosen.language] }] : []),
    ...(chosen.type?.length ? [{ kind: 'document type' as const, values: [...chosen.type] }] : []),
  ]
  const add = (text: string, own: LimitValue[]): void => {
    addLine(store, source.id, lines, text, { limits: own })
    done()
  }
  const joined = words.length > 1 ? `(${words.join(' OR ')})` : words[0]
  const harvest = (letter: Letter): void => {
    const concept = review.concepts.find((c) => c.letter === letter)
    if (!concept) return
    const base = {
      conceptId: concept.id,
      origin: 'harvest' as const,
      from: `line ${number} of ${info.short}`,
    }
    putTerms(store, [
      ...(chosen.heading ?? []).map((expression) => ({
        ...base,
        sourceId: source.id,
        kind: 'heading' as const,
        expression,
      })),
      ...(chosen.keyword ?? []).map((k) => ({
        ...base,
        sourceId: 'all',
        kind: 'text' as const,
        expression: k.includes(' ') ? `"${k.replace(/["*?]/g, ' ')}"` : k,
      })),
    ])
    done()
  }
  return (
    <div className="quiet-note in-row wraps">
      <button
        className="plain link"
        onClick={() => add(joined ? `#${number} AND ${joined}` : `#${number}`, limits)}
      >
        new line with it
      </button>
      {joined && (
        <button className="plain link" onClick={() => add(`#${number} NOT ${joined}`, [])}>
          new line without it
        </button>
      )}
      {(chosen.heading?.length || chosen.keyword?.length) && (
        <span>
          into the grid:{' '}
          {review.concepts.map((c) => (
            <button
              key={c.id}
              className={`plain letter ${c.letter}`}
              aria-label={`Harvest into ${c.letter}`}
              onClick={() => harvest(c.letter)}
            >
              {c.letter}
            </button>
          ))}
        </span>
      )}
      <button className="plain link" onClick={done}>
        choose none
      </button>
    </div>
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
