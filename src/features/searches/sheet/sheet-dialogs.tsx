'use client'
import { withNeeded } from '@/core/strategy'
import type { SourceInfo } from '@/standins/source-info'
import { CarryDialog } from '../history/carry-dialog'
import { HistoryDialog } from '../history/history-dialog'
import { RedraftDialog } from '../history/redraft-dialog'
import { RunSheet } from '../outside/run-sheet'
import type { Sheet } from './use-sheet'

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
