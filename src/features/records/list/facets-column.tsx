'use client'
import { App, Input } from 'antd'
import { useState, type DragEvent, type ReactNode } from 'react'
import { thousands } from '@/core/base'
import { dropFilter, keepFilter, putInGroup } from '@/core/doing'
import { plainName, type FacetCount, type WorkFacet } from '@/core/records'
import { useSession, useStore } from '@/page/provider'
import { languageName } from '@/core/query'
import type { AskedList, AskedWorksState } from './use-asked-works'
import { DRAGGED_WORK } from './works-list'

const NAMES: Readonly<Record<WorkFacet, string>> = {
  'found in': 'Found in',
  source: 'Source',
  ruled: 'Broad pass',
  group: 'Group',
  new: 'New',
  year: 'Year',
  type: 'Type',
  journal: 'Journal',
  language: 'Language',
  heading: 'Headings',
  keyword: 'Keywords',
  author: 'Authors',
  'full text': 'Full text',
}

/** What the list can be narrowed by, with what each value would leave; kept filters stand above. */
export function FacetsColumn({
  list,
  nameOf,
}: {
  list: AskedWorksState
  nameOf: (sourceId: string) => string
}) {
  const { asked, answer, toggle, clear, narrowed } = list
  const groups = useSession((s) => s.folded.review.groups)
  const { deed, doIt } = useStore()
  const intoGroup = (id: string, workId: string): void =>
    deed(doIt(putInGroup, { work: { id: workId, records: [] }, isIn: true, group: id }))
  if (!answer) return <div className="works-facets" />
  const label = (facet: WorkFacet, value: string): string =>
    facet === 'source'
      ? nameOf(value)
      : facet === 'group'
        ? (groups?.find((g) => g.id === value)?.name ?? value)
        : facet === 'language'
          ? languageName(value)
          : facet === 'author'
            ? plainName(value)
            : value
  return (
    <div className="works-facets" tabIndex={0} role="group" aria-label="Narrow the list">
      <KeptFilters list={list} />
      {narrowed && (
        <button className="plain link" onClick={clear}>
          Show all works
        </button>
      )}
      {(Object.keys(NAMES) as WorkFacet[]).map((facet) => {
        const found = inOrder(facet, answer.facets[facet].values).filter(
          (v, n) => facet !== 'year' || n < YEARS || chosenIn(asked, facet).includes(v.value),
        )
        // A group that has none of these works is still one to put works into.
        const empty =
          facet === 'group' ? (groups ?? []).filter((g) => !found.some((v) => v.value === g.id)) : []
        const values = [...found, ...empty.map((g) => ({ value: g.id, count: 0 }))]
        const chosen = asked.chosen[facet] ?? []
        const left = asked.leftOut[facet] ?? []
        // What is left out stays in sight, so that it can be taken in again.
        const gone = left.filter((v) => !values.some((x) => x.value === v))
        if (
          values.length + gone.length < (chosen.length + left.length ? 1 : 2) &&
          facet !== 'group' &&
          facet !== 'new'
        )
          return null
        if (!values.length && !gone.length) return null
        return (
          <section key={facet}>
            <h3>{NAMES[facet]}</h3>
            {[...values, ...gone.map((value) => ({ value, count: 0 }))].map(({ value, count }) => (
              <FacetValue
                key={value}
                state={chosen.includes(value) ? 'in' : left.includes(value) ? 'out' : undefined}
                drop={facet === 'group' ? (workId) => intoGroup(value, workId) : undefined}
              >
                <button
                  className="plain"
                  aria-pressed={chosen.includes(value)}
                  onClick={() => toggle(facet, value)}
                >
                  {label(facet, value)}
                </button>
                <button
                  className="plain leave"
                  aria-pressed={left.includes(value)}
                  aria-label={`Leave out ${label(facet, value)}`}
                  title="leave out"
                  onClick={() => toggle(facet, value, true)}
                >
                  less
                </button>
                <span>{left.includes(value) ? '–' : thousands(count)}</span>
              </FacetValue>
            ))}
          </section>
        )
      })}
    </div>
  )
}

/** One value of a facet; of a group, a work can be dropped on it. */
function FacetValue({
  state,
  drop,
  children,
}: {
  state: 'in' | 'out' | undefined
  drop: ((workId: string) => void) | undefined
  children: ReactNode
}) {
  const [over, setOver] = useState(false)
  const takes = (e: DragEvent): boolean => drop !== undefined && e.dataTransfer.types.includes(DRAGGED_WORK)
  return (
    <div
      className="works-facet"
      data-state={state}
      data-over={over}
      onDragOver={(e) => {
        if (!takes(e)) return
        e.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        setOver(false)
        if (!takes(e)) return
        e.preventDefault()
        drop?.(e.dataTransfer.getData(DRAGGED_WORK))
      }}
    >
      {children}
    </div>
  )
}

/** So many years are shown, the latest. */
const YEARS = 10
const chosenIn = (asked: AskedList, facet: WorkFacet): readonly string[] => asked.chosen[facet] ?? []

/** Values that have an order of their own stand in it; others by how many works they have. */
function inOrder(facet: WorkFacet, values: readonly FacetCount[]): FacetCount[] {
  const own = ORDERS[facet]
  if (own) return [...values].sort((a, b) => own.indexOf(a.value) - own.indexOf(b.value))
  return facet === 'year' ? [...values].sort((a, b) => (a.value < b.value ? 1 : -1)) : [...values]
}
const ORDERS: Partial<Record<WorkFacet, readonly string[]>> = {
  'found in': ['one source', 'two', 'three and more'],
  ruled: ['not yet', 'in', 'unsure', 'out', 'differently', 'to settle'],
}

/** Filters by their names; the view as it is can be kept as one more. */
function KeptFilters({ list }: { list: AskedWorksState }) {
  const { deed, doIt } = useStore()
  const { modal } = App.useApp()
  const filters = useSession((s) => s.folded.review.filters) ?? []
  const { asked, set, narrowed } = list
  const keep = (): void => {
    let name = ''
    modal.confirm({
      title: 'Keep this view as a filter',
      icon: null,
      content: (
        <>
          <p className="sub">It stays current: works that come later and fit are in it too.</p>
          <Input
            autoFocus
            placeholder="its name"
            aria-label="Name of the filter"
            onChange={(e) => {
              name = e.target.value
            }}
          />
        </>
      ),
      okText: 'Keep',
      onOk: () => {
        if (!name.trim()) return Promise.reject(new Error('A filter needs a name.'))
        return doIt(keepFilter, { name, asked })
      },
    })
  }
  if (!filters.length && !narrowed) return null
  return (
    <section>
      <h3>Kept filters</h3>
      {filters.map((f) => (
        <div key={f.id} className="works-facet">
          <button
            className="plain"
            onClick={() =>
              set({ words: f.words ?? '', chosen: f.chosen ?? {}, leftOut: f.leftOut ?? {}, only: undefined })
            }
          >
            {f.name}
          </button>
          <button
            className="plain leave"
            aria-label={`Take the filter ${f.name} away`}
            onClick={() => deed(doIt(dropFilter, f.id))}
          >
            away
          </button>
        </div>
      ))}
      {narrowed && asked.only === undefined && (
        <button className="plain link" onClick={keep}>
          Keep this view as a filter
        </button>
      )}
    </section>
  )
}
