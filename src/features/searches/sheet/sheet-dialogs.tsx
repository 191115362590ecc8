'use client'
import { countingLine, withNeeded } from '@/core/strategy'
import type { SourceInfo } from '@/standins/source-info'
import { useOpensFor } from '@/page/handed-in'
import { later } from '@/ui/later'
import type { Sheet } from './use-sheet'

const CarryDialog = later(() => import('../history/carry-dialog').then((m) => m.CarryDialog))
const HistoryDialog = later(() => import('../history/history-dialog').then((m) => m.HistoryDialog))
const RedraftDialog = later(() => import('../history/redraft-dialog').then((m) => m.RedraftDialog))
const BeforeDialog = later(() => import('../outside/before-dialog').then((m) => m.BeforeDialog))
const RunSheet = later(() => import('../outside/run-sheet').then((m) => m.RunSheet))

/** What stands over a sheet and waits for an answer; nothing, if nothing does. */
export function SheetDialogs({
  sheet: { review, info, lines, marked, dialog, set },
  infos,
  open,
}: {
  sheet: Sheet
  infos: readonly SourceInfo[]
  open: (sourceId: string) => void
}) {
  const close = (): void => set.dialog(undefined)
  useOpensFor('history', () => set.dialog('history'))
  if (dialog === 'redraft') return <RedraftDialog review={review} info={info} lines={lines} close={close} />
  if (dialog === 'history') return <HistoryDialog review={review} info={info} lines={lines} close={close} />
  if (dialog === 'before') return <BeforeDialog info={info} lines={lines} close={close} />
  if (dialog === 'run sheet' || dialog === 'run sheet again') {
    // What comes next are the records of what was found: its line is at hand then.
    const leave = (): void => {
      close()
      const counting = countingLine(review, info.source.id)
      if (counting && review.runs.some((r) => r.lineId === counting.id)) set.choose(counting.id)
    }
    return <RunSheet info={info} again={dialog === 'run sheet again'} close={leave} />
  }
  if (dialog !== 'carry') return null
  return (
    <CarryDialog
      review={review}
      from={info}
      infos={infos}
      lines={marked.size ? withNeeded(lines, marked) : lines}
      add={marked.size > 0}
      close={(carriedTo) => {
        close()
        if (carriedTo) open(carriedTo)
      }}
    />
  )
}
