'use client'
import { useMemo, useState } from 'react'
import { plural, thousands } from '@/core/base'
import { useActions, type Action } from '@/store/actions'
import { useSession } from '@/store/provider'
import { Tabs } from '../shared/tabs'
import { WorksPane } from './list/works-pane'
import { ReferencesPane } from './references/references-pane'
import { OverlapPane } from './overlap/overlap-pane'
import { SettlePane } from './settle/settle-pane'
import { useAskedWorks } from './list/use-asked-works'
import { useDesk } from './use-desk'

const PANES = [
  { id: 'list', label: 'List', key: 'L' },
  { id: 'settle', label: 'To settle', key: 'T' },
  { id: 'overlap', label: 'What each source gave', key: 'O' },
  { id: 'references', label: 'References and files', key: 'F' },
] as const
type PaneId = (typeof PANES)[number]['id']

/** The records of all sources as one list of works: looked through, settled, counted by source, and handed out. */
export function RecordsStage() {
  const review = useSession((s) => s.folded.review)
  const figures = useSession((s) => s.told.figures)
  const [pane, setPane] = useState<PaneId>('list')
  const desk = useDesk()
  const list = useAskedWorks(desk)
  const actions = useMemo<Action[]>(
    () => PANES.map(({ id, label, key }) => ({ id: `records-${id}`, label, key, run: () => setPane(id) })),
    [],
  )
  useActions('records', actions)

  if (!review.imports.length)
    return (
      <>
        <h1>Records</h1>
        <p className="empty">
          The works that your searches find will stand here, each once, with the words that matched marked in
          the colour of their concept. Run a strategy under Searches (<kbd>⇧3</kbd>) and bring the records of
          its last line in; of a database outside, log the run there and bring its export file.
        </p>
      </>
    )
  return (
    <div className="records">
      <div className="records-head">
        <h1>Records</h1>
        <span className="sub">
          {plural(figures.works, 'work')} from {plural(figures.identified, 'record')}
          {figures.pairsToSettle > 0 && ` · ${plural(figures.pairsToSettle, 'pair')} to settle`}
        </span>
      </div>
      <Tabs
        label="What is to be seen of the records"
        tabs={PANES}
        chosen={pane}
        choose={setPane}
        actions="records"
        waits={(id) =>
          id === 'list' ? (
            <i>{thousands(figures.works)}</i>
          ) : id === 'settle' && figures.pairsToSettle > 0 ? (
            <i>{thousands(figures.pairsToSettle)}</i>
          ) : null
        }
      />
      {desk.failed !== undefined && <p className="note">The records could not be read: {desk.failed}</p>}
      {pane === 'list' && <WorksPane desk={desk} list={list} />}
      {pane === 'settle' && <SettlePane desk={desk} />}
      {pane === 'overlap' && (
        <OverlapPane
          desk={desk}
          show={(sources) => {
            list.set({ chosen: {}, leftOut: {}, words: '', only: sources })
            setPane('list')
          }}
        />
      )}
      {pane === 'references' && <ReferencesPane desk={desk} list={list} />}
    </div>
  )
}
