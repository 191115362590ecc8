'use client'
import type { ReactNode } from 'react'
import { openComments } from '@/core/review'
import { Tabs } from '../../shared/tabs'
import { openRemarks } from '../panes/advice'
import { standingsOf } from '../panes/ledger'
import type { JudgedStrategy } from '../panes/use-judgement'
import { PANES, type Pane } from './sheet-pane'
import type { Sheet } from './use-sheet'

/** The panes below a sheet by name, each with what waits in it. */
export function SheetTabs({
  sheet,
  judgement,
  pane,
  show,
}: {
  sheet: Sheet
  judgement: JudgedStrategy['judgement']
  pane: Pane
  show: (pane: Pane) => void
}) {
  const { review, info } = sheet
  const missing = standingsOf(review, info).filter((s) =>
    ['lost', 'other', 'forgotten'].includes(s.standing.state),
  ).length
  const said = openComments(review, info.source.id).length
  const remarks = openRemarks(review, info.source.id, judgement).length + said
  const board = judgement?.board ?? []
  const waits = (id: Pane): ReactNode => {
    if (id === 'limits' && missing > 0) return <i className="warn">{missing}</i>
    if (id === 'advice' && remarks > 0) return <i className="warn">{remarks}</i>
    if (id !== 'known' || !board.length) return null
    return (
      <i>
        {board.filter((b) => b.atLast).length} of {board.length}
      </i>
    )
  }
  return (
    <Tabs
      label="Below the sheet"
      tabs={PANES}
      chosen={pane}
      choose={show}
      actions="searches-pane"
      waits={waits}
    />
  )
}
