import { App } from 'antd'
import { useMemo } from 'react'
import { useActions } from '@/page/actions'
import { useStore } from '@/page/provider'
import { useFactContext } from '@/page/use-account'
import { PANES, type Pane } from '../sheet-pane'
import type { Sheet } from '../use-sheet'
import { bringActions } from './bring-actions'
import { joinActions } from './join-actions'
import { lineActions, lineSteps } from './line-actions'
import type { Means } from './means'
import { runActions } from './run-actions'

const sheetActions = (sheet: Sheet, means: Means) => ({
  ...runActions(sheet, means),
  ...lineActions(sheet, means),
  ...joinActions(sheet, means),
  ...bringActions(sheet, means),
})

/** Everything that can be done with a sheet, by name: the same for its keys, its buttons and the palette. */
export type SheetActions = ReturnType<typeof sheetActions>

/** Offers what can be done with this sheet, and the panes below it, and gives the actions to its buttons. */
export function useSheetActions(sheet: Sheet, showPane: (pane: Pane) => void): SheetActions {
  const store = useStore()
  const { message, modal } = App.useApp()
  const context = useFactContext()
  const own = useMemo(
    () => sheetActions(sheet, { store, message, modal, context }),
    [sheet, store, message, modal, context],
  )
  const offered = useMemo(
    () => [
      ...Object.values(own),
      ...lineSteps(sheet),
      ...PANES.map((p) => ({
        id: `searches-pane-${p.id}`,
        label: p.label,
        key: p.key,
        run: () => showPane(p.id),
      })),
    ],
    [own, sheet, showPane],
  )
  useActions('pane', 'searches', offered)
  return own
}
