'use client'
import { useEffect, useState } from 'react'
import { termsInUse, type Review } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { useSplit } from '@/ui/split'
import { KeyHint } from '../../shared/key-hint'
import { StageLink } from '../../shared/stage-link'
import { useJudgement } from '../panes/use-judgement'
import { useSheetActions, type SheetActions } from './actions/use-sheet-actions'
import { CountsOffer } from './counts-offer'
import { JoinBar, LineBar } from './line-bar'
import { SheetDialogs } from './sheet-dialogs'
import { PANES, READING, SheetPane, type Pane } from './sheet-pane'
import { SheetTable } from './sheet-table'
import { SheetTabs } from './sheet-tabs'
import { SheetTitle } from './sheet-title'
import { useSheet, type Sheet as SheetState } from './use-sheet'

interface SheetProps {
  review: Review
  info: SourceInfo
  infos: readonly SourceInfo[]
  open: (sourceId: string) => void
}

/** The sheet of one source: its lines, what can be done with them, and below what belongs to the chosen line. */
export function Sheet({ review, info, infos, open }: SheetProps) {
  const sheet = useSheet(review, info)
  const [pane, setPane] = useState<Pane>('translation')
  const actions = useSheetActions(sheet, setPane)
  return (
    <>
      <SheetTitle sheet={sheet} actions={actions} />
      <CountsOffer review={review} sourceId={info.source.id} />
      {sheet.lines.length ? (
        <Body sheet={sheet} actions={actions} infos={infos} pane={pane} show={setPane} />
      ) : (
        <Empty review={review} actions={actions} />
      )}
      <SheetDialogs sheet={sheet} infos={infos} open={open} />
    </>
  )
}

function Empty({ review, actions }: { review: Review; actions: SheetActions }) {
  return (
    <p className="empty">
      The lines of this strategy will stand here: for each concept its words and its headings, joined with OR;
      the essential concepts joined with AND; then the limits, one at a time.{' '}
      <button className="plain link" onClick={actions.draft.run}>
        Draft them from the grid
      </button>{' '}
      <KeyHint of={actions.draft} />,{' '}
      <button className="plain link" onClick={actions.add.run}>
        begin one by hand
      </button>{' '}
      <KeyHint of={actions.add} />, or{' '}
      <button className="plain link" onClick={actions.history.run}>
        take over a history
      </button>{' '}
      <KeyHint of={actions.history} /> that you copied or saved there.
      {actions.before.when() && (
        <>
          {' '}
          Of a search that was made before, with nobody knowing how,{' '}
          <button className="plain link" onClick={actions.before.run}>
            day and count
          </button>{' '}
          <KeyHint of={actions.before} /> can be noted.
        </>
      )}
      {!termsInUse(review).length && (
        <>
          {' '}
          The grid is still empty: its words and headings come from <StageLink to="Terms" />.
        </>
      )}
    </p>
  )
}

function Body({
  sheet,
  actions,
  infos,
  pane,
  show,
}: {
  sheet: SheetState
  actions: SheetActions
  infos: readonly SourceInfo[]
  pane: Pane
  show: (pane: Pane) => void
}) {
  const { review, info, lines, view, chosen, chosenByHand, at, marked, busy, problems, set } = sheet
  const judged = useJudgement(review, info, lines)
  // Where one reads below, the sheet takes less of the room; each way remembers what it was dragged to.
  const writing = useSplit('searches', 55)
  const reading = useSplit('searches-reading', 33)
  const { part, handle } = READING.has(pane) ? reading : writing
  // A sheet opens at its first line, wherever what it found stands.
  useEffect(() => {
    if (chosenByHand) document.querySelector('.sheet-row.on')?.scrollIntoView({ block: 'nearest' })
  }, [chosen?.id, chosenByHand, part])
  /** After a line was logged the next one that is still to be run is chosen. */
  const logged = (): void => {
    const next = [...lines.slice(at + 1), ...lines.slice(0, at)].find((l) => !view.runs.has(l.id))
    if (next) set.choose(next.id)
  }
  return (
    <>
      <div
        className="sheet-room"
        style={{ maxHeight: `${part}%` }}
        tabIndex={0}
        role="group"
        aria-label="Lines"
      >
        <SheetTable sheet={sheet} />
        <p className="sub sheet-more">
          <button className="plain link" onClick={actions.add.run}>
            New line
          </button>{' '}
          ·{' '}
          <button className="plain link" onClick={actions.describe.run}>
            A search without text: a form filled in, a journal browsed
          </button>
        </p>
      </div>
      <div {...handle} />
      {marked.size > 1 && <JoinBar actions={actions} count={marked.size} clear={() => set.mark(new Set())} />}
      {chosen && (
        <LineBar
          key={chosen.id}
          review={review}
          info={info}
          line={chosen}
          number={at + 1}
          problems={problems.get(chosen.id) ?? []}
          hits={view.runs.get(chosen.id)?.hits}
          bring={actions.bring}
          busy={busy !== undefined}
        />
      )}
      <SheetTabs sheet={sheet} judgement={judged.judgement} pane={pane} show={show} />
      <div className="rest" role="tabpanel" tabIndex={0} aria-label={PANES.find((p) => p.id === pane)!.label}>
        <SheetPane
          pane={pane}
          review={review}
          info={info}
          infos={infos}
          lines={lines}
          chosen={chosen}
          judged={judged}
          choose={set.choose}
          logged={logged}
          runAgain={actions.runAll.run}
        />
      </div>
    </>
  )
}
