'use client'
import { useMemo, useState } from 'react'
import { later } from '@/ui/later'
import { thousands } from '@/core/base'
import type { ReadingCopy } from '@/core/selection'
import { useActions, type Action } from '@/page/actions'
import { useSession } from '@/page/provider'
import { Tabs } from '../shared/tabs'
import { PassPane } from './pass/pass-pane'
import { useSelected } from './use-selected'
import { StageLink } from '../shared/stage-link'

const FlowPane = later(() => import('./flow/flow-pane').then((m) => m.FlowPane))
const MissingPane = later(() => import('./missing/missing-pane').then((m) => m.MissingPane))
const ReadersPane = later(() => import('./readers/readers-pane').then((m) => m.ReadersPane))
const SettlePane = later(() => import('./settle/settle-pane').then((m) => m.SettlePane))
const TextsPane = later(() => import('./texts/texts-pane').then((m) => m.TextsPane))
const WaysPane = later(() => import('./ways/ways-pane').then((m) => m.WaysPane))

const PANES = [
  { id: 'broad', label: 'Broad pass', key: 'B' },
  { id: 'texts', label: 'Full texts', key: 'T' },
  { id: 'close', label: 'Close pass', key: 'C' },
  { id: 'settle', label: 'To settle', key: 'D' },
  { id: 'readers', label: 'Readers', key: 'R' },
  { id: 'ways', label: 'Other ways', key: 'O' },
  { id: 'flow', label: 'Flow', key: 'F' },
  { id: 'missing', label: 'Still missing', key: 'M' },
] as const
type PaneId = (typeof PANES)[number]['id']

/** In a copy for reading: the passes that are asked for, the full texts that they need, and the file that goes back. */
const shownTo = ({ passes }: ReadingCopy, pane: PaneId): boolean =>
  pane === 'readers' || (pane === 'texts' ? passes.includes('close') : passes.some((p) => p === pane))

/** From works found to works included: two passes, full texts, readers, other ways, the flow, what is missing. */
export function SelectionStage() {
  const figures = useSession((s) => s.told.figures)
  const selected = useSelected()
  const { reading } = selected
  const [pane, setPane] = useState<PaneId>(reading?.passes[0] ?? 'broad')
  // Works that a box of the flow led to.
  const [led, setLed] = useState<{ ids: readonly string[]; words: string }>()
  const actions = useMemo<Action[]>(
    () =>
      PANES.filter((p) => !reading || shownTo(reading, p.id)).map(({ id, label, key }) => ({
        id: `selection-${id}`,
        label,
        key,
        run: () => setPane(id),
      })),
    [reading],
  )
  useActions('stage', 'selection', actions)
  if (!selected.works.length && !selected.review.sources.some((s) => s.kind !== 'database'))
    return (
      <>
        <h1>Selection</h1>
        <p className="empty">
          One work at a time will stand here in large type, to be ruled with the arrow keys: right is in, left
          is out. Bring records in under <StageLink to="Searches" /> first.
        </p>
      </>
    )
  const toSettle = figures.conflicts.broad + figures.conflicts.close + figures.reasonsDiffer
  const panes = reading ? PANES.filter((p) => shownTo(reading, p.id)) : PANES
  const waits = (id: PaneId): number =>
    reading
      ? id === 'broad' || id === 'close'
        ? reading.of[id].size
        : 0
      : id === 'broad'
        ? figures.broad.left
        : id === 'close'
          ? figures.close.left
          : id === 'texts'
            ? figures.broad.in
            : id === 'settle'
              ? toSettle
              : id === 'flow'
                ? figures.flow.included
                : 0
  return (
    <div className="selecting">
      <h1 className="hidden-text">Selection</h1>
      <Tabs
        label="Selection"
        tabs={panes}
        chosen={pane}
        choose={setPane}
        actions="selection"
        waits={(id) => (waits(id) ? <i>{thousands(waits(id))}</i> : null)}
      />
      {pane === 'broad' && (
        <PassPane key={`broad ${led?.words}`} pass="broad" selected={selected} box={led} />
      )}
      {pane === 'close' && <PassPane key="close" pass="close" selected={selected} />}
      {pane === 'texts' && <TextsPane selected={selected} />}
      {pane === 'settle' && <SettlePane selected={selected} />}
      {pane === 'readers' && <ReadersPane selected={selected} />}
      {pane === 'ways' && <WaysPane selected={selected} />}
      {pane === 'flow' && (
        <FlowPane
          selected={selected}
          show={(ids, words) => {
            setLed({ ids, words })
            setPane('broad')
          }}
        />
      )}
      {pane === 'missing' && <MissingPane selected={selected} />}
    </div>
  )
}
