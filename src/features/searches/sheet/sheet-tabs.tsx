'use client'
import { KeyHint } from '../../shared/key-hint'
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
  const remarks = openRemarks(review, info.source.id, judgement).length
  const board = judgement?.board ?? []
  return (
    <div className="tabs" role="tablist" aria-label="Below the sheet">
      {PANES.map((p) => (
        <button
          key={p.id}
          className="plain"
          role="tab"
          aria-selected={p.id === pane}
          onClick={() => show(p.id)}
        >
          {p.label}
          {p.id === 'limits' && missing > 0 && <i className="warn">{missing}</i>}
          {p.id === 'advice' && remarks > 0 && <i className="warn">{remarks}</i>}
          {p.id === 'known' && board.length > 0 && (
            <i>
              {board.filter((b) => b.atLast).length} of {board.length}
            </i>
          )}
          <KeyHint of={`searches-pane-${p.id}`} />
        </button>
      ))}
    </div>
  )
}
