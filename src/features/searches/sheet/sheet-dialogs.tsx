'use client'
import { withNeeded } from '@/core/strategy'
import type { SourceInfo } from '@/standins/source-info'
import { later } from '@/ui/later'
import type { Sheet } from './use-sheet'

const CarryDialog = later(() => import('../history/carry-dialog').then((m) => m.CarryDialog))
const HistoryDialog = later(() => import('../history/history-dialog').then((m) => m.HistoryDialog))
const RedraftDialog = later(() => import('../history/redraft-dialog').then((m) => m.RedraftDialog))
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
  if (dialog === 'redraft') return <RedraftDialog review={review} info={info} lines={lines} close={close} />
  if (dialog === 'history') return <HistoryDialog review={review} info={info} lines={lines} close={close} />
  if (dialog === 'run sheet' || dialog === 'run sheet again')
    return <RunSheet info={info} again={dialog === 'run sheet again'} close={close} />
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
