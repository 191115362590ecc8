'use client'
import { thousands } from '@/core/base'
import { putInGroup } from '@/core/doing'
import { languageName } from '@/core/query'
import { facetsShown, plainName, type WorkFacet } from '@/core/records'
import { useSession, useStore } from '@/page/provider'
import { FacetValue } from './facet-value'
import { KeptFilters } from './kept-filters'
import type { AskedWorksState } from './use-asked-works'

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
  const shown = facetsShown(
    answer.facets,
    asked,
    (groups ?? []).map((g) => g.id),
  )
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
      {shown.map(({ facet, values }) => (
        <section key={facet}>
          <h3>{NAMES[facet]}</h3>
          {values.map(({ value, count, state }) => (
            <FacetValue
              key={value}
              state={state}
              drop={facet === 'group' ? (workId) => intoGroup(value, workId) : undefined}
            >
              <button className="plain" aria-pressed={state === 'in'} onClick={() => toggle(facet, value)}>
                {label(facet, value)}
              </button>
              <button
                className="plain leave"
                aria-pressed={state === 'out'}
                aria-label={`Leave out ${label(facet, value)}`}
                title="leave out"
                onClick={() => toggle(facet, value, true)}
              >
                less
              </button>
              <span>{state === 'out' ? '–' : thousands(count)}</span>
            </FacetValue>
          ))}
        </section>
      ))}
    </div>
  )
}
