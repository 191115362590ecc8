import dayjs from 'dayjs'
import { useMemo, useState } from 'react'
import {
  correctedAnew,
  recogniseHistory,
  type CorrectedRow,
  type DayOrder,
  type History,
  type HistoryRow,
} from '@/core/strategy'

/** More lines than any strategy has: a dialog that shows each of them would not answer any more. */
const MOST_LINES = 2000

interface Pasted {
  text: string
  order: DayOrder | undefined
  history: History
  rows: CorrectedRow[]
  /** The order was turned round by hand. */
  turned: boolean
}

const NOTHING: Pasted = {
  text: '',
  order: undefined,
  history: recogniseHistory(''),
  rows: [],
  turned: false,
}

export type PastedHistory = ReturnType<typeof usePastedHistory>

/** A history as it was pasted, with what a person corrected in it; a correction outlives a change of the paste. */
export function usePastedHistory() {
  const [pasted, setPasted] = useState<Pasted>(NOTHING)
  const put = (text: string, order?: DayOrder): void =>
    setPasted((before) => {
      const history = recogniseHistory(text, { order, today: dayjs().format('YYYY-MM-DD'), most: MOST_LINES })
      const rows = correctedAnew(before.rows, history.rows)
      return { text, order, history, rows, turned: before.turned && history.newestFirst === undefined }
    })
  const replace = (row: HistoryRow, now: HistoryRow | undefined): void =>
    setPasted((before) => ({
      ...before,
      rows: before.rows.map((r) => (r.now === row ? { ...r, now } : r)),
    }))
  const rows = useMemo(() => {
    const now = pasted.rows.flatMap((r) => r.now ?? [])
    return pasted.turned ? now.reverse() : now
  }, [pasted.rows, pasted.turned])
  return {
    text: pasted.text,
    order: pasted.order,
    history: pasted.history,
    rows,
    leftOut: pasted.rows.length - rows.length,
    put: (text: string) => put(text, pasted.order),
    setOrder: (order: DayOrder) => put(pasted.text, order),
    change: (row: HistoryRow, to: Partial<HistoryRow>) => replace(row, { ...row, ...to }),
    leaveOut: (row: HistoryRow) => replace(row, undefined),
    takeBack: () =>
      setPasted((before) => ({
        ...before,
        rows: before.rows.map((r) => ({ given: r.given, now: r.now ?? r.given })),
      })),
    turn: () => setPasted((before) => ({ ...before, turned: !before.turned })),
  }
}
