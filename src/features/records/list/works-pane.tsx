'use client'
import { Input, Select } from 'antd'
import { useMemo, useState } from 'react'
import { thousands } from '@/core/base'
import { WORK_ORDERS, type WorkOrder } from '@/core/records'
import { useActions, type Action } from '@/page/actions'
import { useSession, useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { recordsDesk } from '@/workers'
import { listSteps } from '../../shared/list-steps'
import { useSourceNames, type Desk } from '../use-desk'
import { FacetsColumn } from './facets-column'
import { useGrouping } from './grouping'
import type { AskedWorksState } from './use-asked-works'
import { WorkPane } from './work-pane'
import { useWorkTerms } from './work-terms'
import { WorksList, useWindow } from './works-list'

const ORDER_WORDS: Readonly<Record<WorkOrder, string>> = {
  added: 'as they came',
  year: 'newest first',
  author: 'by author',
  title: 'by title',
  source: 'by source',
  'times cited': 'most cited first',
  relevance: 'most to the point first',
}

/** The list of works: narrowed, sorted, looked through, with the chosen one beside it. */
export function WorksPane({ desk, list }: { desk: Desk; list: AskedWorksState }) {
  const store = useStore()
  const review = useSession((s) => s.folded.review)
  const { nameOf, order } = useSourceNames(review)
  const { asked, answer, set } = list
  const [at, setAt] = useState(0)
  const count = answer?.count ?? 0
  const place = Math.max(0, Math.min(at, count - 1))
  const rows = useWindow(answer)
  const chosen = rows(place)
  const chosenId = chosen?.id
  const { value: work } = useAsked(
    () => (chosenId !== undefined && desk.version ? recordsDesk().work(chosenId) : undefined),
    [chosenId, desk.version],
    { keep: true },
  )
  const grouping = useGrouping(work)
  const harvest = useWorkTerms(work, nameOf)
  const { open: openHarvest } = harvest
  const { open: openGroups } = grouping
  const lead = (id: string): void => {
    store.deed(
      recordsDesk()
        .placeOf(answer?.number ?? 0, id)
        .then((found) => {
          if (found >= 0) setAt(found)
          else list.clear()
        }),
    )
  }
  const actions = useMemo<Action[]>(
    () => [
      ...listSteps({
        ...{ id: 'work', next: 'Next work', before: 'Work before', row: 'work' },
        ...{ at: place, count, go: setAt },
      }).map((a) => (a.key === 'ArrowDown' ? { ...a, strip: true } : a)),
      {
        id: 'work-find',
        label: 'Look for words',
        key: '/',
        strip: true,
        run: () => document.getElementById('works-find')?.focus(),
      },
      {
        id: 'work-group',
        label: 'Groups of this work',
        key: 'G',
        strip: true,
        when: () => work !== undefined,
        run: openGroups,
      },
      {
        id: 'work-terms',
        label: 'Take its terms',
        key: 'H',
        strip: true,
        when: () => work !== undefined,
        run: openHarvest,
      },
    ],
    [count, place, work, openGroups, openHarvest],
  )
  useActions('pane', 'works', actions)
  return (
    <div className="works">
      <FacetsColumn list={list} nameOf={nameOf} />
      <div className="works-middle">
        <div className="works-asked">
          <Input
            id="works-find"
            size="small"
            allowClear
            placeholder="words, or title: noise NOT aircraft"
            aria-label="Words of the works"
            {...(answer?.trouble === undefined ? {} : { status: 'error' as const })}
            value={asked.words}
            onChange={(e) => {
              set({ words: e.target.value })
              setAt(0)
            }}
          />
          <Select
            size="small"
            variant="borderless"
            aria-label="Order of the list"
            value={asked.order}
            options={WORK_ORDERS.map((value) => ({ value, label: ORDER_WORDS[value] }))}
            onChange={(value: WorkOrder) => set({ order: value })}
            popupMatchSelectWidth={false}
          />
        </div>
        {answer?.trouble !== undefined && <p className="note">{answer.trouble}</p>}
        {list.narrowed && (
          <p className="sub works-shown">
            {thousands(count)} of {thousands(desk.works)}
            {asked.only !== undefined && `, found in ${asked.only.map(nameOf).join(' and ')} alone`}
          </p>
        )}
        <WorksList count={count} rows={rows} at={place} choose={setAt} sources={order} nameOf={nameOf} />
      </div>
      <div className="work" tabIndex={0} role="group" aria-label="The chosen work">
        {work && chosen ? (
          <WorkPane work={work} words={asked.words} nameOf={nameOf} lead={lead} />
        ) : count ? null : (
          <p className="empty">No work has all of this. Show all works, or take something back.</p>
        )}
      </div>
      {grouping.dialog}
      {harvest.dialog}
    </div>
  )
}
