'use client'
import { App, Input } from 'antd'
import { dropFilter, keepFilter } from '@/core/doing'
import { useSession, useStore } from '@/page/provider'
import type { AskedWorksState } from './use-asked-works'

/** Filters by their names; the view as it is can be kept as one more. */
export function KeptFilters({ list }: { list: AskedWorksState }) {
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
