'use client'
import { useState } from 'react'
import { departures, openItems, type FactContext } from '@/core/account'
import { openPoints } from '@/core/review'
import { useActions, type Action } from '@/page/actions'
import { useSession } from '@/page/provider'
import { useAccount } from '@/page/use-account'
import { useWhereabouts } from '@/page/whereabouts'
import { later } from '@/ui/later'
import { Tabs } from '../shared/tabs'
import { useYieldsKept } from '../shared/use-yields-kept'
import { SectionPane } from './section-pane'

const ChecklistPane = later(() => import('./checklist-pane').then((m) => m.ChecklistPane))
const ProtocolPane = later(() => import('./protocol-pane').then((m) => m.ProtocolPane))
const SearchReviewPane = later(() => import('./search-review-pane').then((m) => m.SearchReviewPane))
const VersionsPane = later(() => import('./versions-pane').then((m) => m.VersionsPane))

const PANES = [
  { id: 'section', label: 'Section', key: 'S' },
  { id: 'protocol', label: 'Protocol', key: 'O' },
  { id: 'checklist', label: 'Reporting items', key: 'C' },
  { id: 'searchreview', label: 'Search review', key: 'R' },
  { id: 'versions', label: 'Frozen texts', key: 'V' },
] as const
type PaneId = (typeof PANES)[number]['id']

/** What waits in a pane, or stands in it to be looked at. */
const WAITS: Partial<Record<PaneId, (context: FactContext) => number>> = {
  protocol: (c) => departures(c).length,
  checklist: openItems,
  searchreview: ({ review }) => openPoints(review).length,
  versions: ({ review }) => review.frozenTexts?.length ?? 0,
}

/** Where a deed or a fact leads to on this stage. */
const paneOf = (anchor: string | undefined): PaneId | undefined =>
  anchor === 'protocol' || anchor?.startsWith('departure:')
    ? 'protocol'
    : anchor === 'versions' || anchor === 'searchreview'
      ? anchor
      : anchor?.startsWith('passage:')
        ? 'section'
        : undefined

/** What is handed on: the section, the protocol it was planned by, what has to be reported, and texts that were frozen. */
export function MethodsStage() {
  const { context, passages } = useAccount()
  const told = useSession((s) => s.told)
  useYieldsKept(true)
  const [pane, setPane] = useState<PaneId>('section')
  const [actions] = useState<Action[]>(() =>
    PANES.map(({ id, label, key }) => ({ id: `methods-${id}`, label, key, run: () => setPane(id) })),
  )
  useActions('stage', 'methods panes', actions)
  // What is led to stands in one of the panes.
  const wanted = useWhereabouts((s) => s.wanted)
  const [led, setLed] = useState<string>()
  if (wanted !== led) {
    setLed(wanted)
    const to = paneOf(wanted)
    if (to) setPane(to)
  }
  return (
    <>
      <Tabs
        label="Methods"
        tabs={PANES}
        chosen={pane}
        choose={setPane}
        actions="methods"
        waits={(id) => {
          const waiting = WAITS[id]?.(context)
          return waiting ? <i>{waiting}</i> : null
        }}
      />
      {pane === 'section' && <SectionPane context={context} passages={passages} />}
      {pane === 'protocol' && <ProtocolPane context={context} />}
      {pane === 'checklist' && (
        <ChecklistPane context={context} passages={passages} show={() => setPane('section')} />
      )}
      {pane === 'searchreview' && <SearchReviewPane review={context.review} />}
      {pane === 'versions' && <VersionsPane context={context} told={told} passages={passages} />}
    </>
  )
}
