'use client'
import { App, Button } from 'antd'
import { useMemo, useState } from 'react'
import { later } from '@/ui/later'
import { plural, thousands } from '@/core/base'
import { RECORD_FILES } from '@/core/records'
import { useFilePick } from '@/ui/file-pick'
import { useActions, type Action } from '@/page/actions'
import { useDoor, useOpensFor } from '@/page/handed-in'
import { useSession } from '@/page/provider'
import { useBringFile } from '../shared/bring-file/use-bring-file'
import { KeyHint } from '../shared/key-hint'
import { StageLink } from '../shared/stage-link'
import { Tabs } from '../shared/tabs'
import { WorksPane } from './list/works-pane'
import { useAskedWorks } from './list/use-asked-works'
import { useDesk } from './use-desk'

const ReferencesPane = later(() => import('./references/references-pane').then((m) => m.ReferencesPane))
const OverlapPane = later(() => import('./overlap/overlap-pane').then((m) => m.OverlapPane))
const SettlePane = later(() => import('./settle/settle-pane').then((m) => m.SettlePane))

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
  const { message } = App.useApp()
  const files = useBringFile()
  const [first] = review.sources
  const bring = (chosen: File, further: readonly File[]): void =>
    files.bring(
      chosen,
      { ...(first ? { source: first } : {}), place: 'beside' },
      ({ count, name }) => message.success(`${plural(count, 'record')} of ${name} came in.`, 6),
      true,
      further,
    )
  const file = useFilePick('File with records', RECORD_FILES, bring, true)
  useDoor('records', bring)
  // A style is taken in where references are set in it.
  useOpensFor('style', () => setPane('references'))
  const openFile = file.open
  const actions = useMemo<Action[]>(
    () => [
      {
        id: 'records-file',
        label: 'Bring files with records in',
        key: 'B',
        strip: true,
        run: openFile,
      },
      ...PANES.map(({ id, label, key }) => ({ id: `records-${id}`, label, key, run: () => setPane(id) })),
    ],
    [openFile],
  )
  useActions('stage', 'records', actions)

  if (!review.imports.length)
    return (
      <>
        <h1>Records</h1>
        <p className="empty">
          The works that your searches find will stand here, each once, with the words that matched marked in
          the colour of their concept. Run a strategy under <StageLink to="Searches" /> and bring the records
          of its last line in; of a database outside, log the run there and bring its export file. Files of
          other origin, such as your own collection, come in here; a source that is not in the plan yet is
          made on the way.
        </p>
        <Button onClick={file.open}>
          Bring files in
          <KeyHint of="records-file" />
        </Button>
        {file.input}
        {files.dialog}
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
        <Button size="small" className="records-bring" onClick={file.open}>
          Bring files in
          <KeyHint of="records-file" />
        </Button>
        {file.input}
        {files.dialog}
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
