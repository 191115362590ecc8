import { useCallback, useMemo, useState } from 'react'
import type { Problem } from '@/core/base'
import type { Line, Review } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { chooseLine, useWhereabouts } from '@/page/whereabouts'
import type { RunOutcome } from './run'
import { sheetView, type SheetView } from './sheet-lines'

/** What is under way, and how to end it. */
export interface Busy {
  words: string
  stop: () => void
}

/** What stands over the sheet and waits for an answer. */
export type SheetDialog = 'redraft' | 'carry' | 'history' | 'before' | 'run sheet' | 'run sheet again'

/** One sheet as it stands: the lines and what was run of them, and what the person points at. */
export interface Sheet {
  review: Review
  info: SourceInfo
  lines: Line[]
  view: SheetView
  /** The chosen line was chosen by somebody, and is not the one that is shown first. */
  chosenByHand: boolean
  /** The chosen line and its place; absent and -1 in an empty sheet. */
  chosen: Line | undefined
  at: number
  /** How many lines have no run of what they ask now. */
  stale: number
  marked: ReadonlySet<string>
  editing: string | undefined
  dialog: SheetDialog | undefined
  busy: Busy | undefined
  /** What was wrong with lines when they were last run, by line. */
  problems: ReadonlyMap<string, readonly Problem[]>
  set: SheetSetters
}

export interface SheetSetters {
  choose: (id: string | undefined) => void
  mark: (marked: ReadonlySet<string>) => void
  /** Marks a line, or takes its mark away. */
  toggle: (id: string) => void
  edit: (id: string | undefined) => void
  dialog: (dialog: SheetDialog | undefined) => void
  busy: (busy: Busy | undefined) => void
  outcome: (outcome: Pick<RunOutcome, 'problems'>) => void
}

/** A set with this in it, or without it if it was. */
const toggled = (before: ReadonlySet<string>, id: string): ReadonlySet<string> => {
  const next = new Set(before)
  if (!next.delete(id)) next.add(id)
  return next
}

/** The state of a source's sheet: one place for what its rows, bars, panes and actions share. */
export function useSheet(review: Review, info: SourceInfo): Sheet {
  const { source, searched } = info
  const lines = useMemo(() => review.strategies[source.id] ?? [], [review.strategies, source.id])
  const chosenId = useWhereabouts((s) => s.lines[source.id])
  const choose = useCallback((id: string | undefined) => chooseLine(source.id, id), [source.id])
  const [marked, mark] = useState<ReadonlySet<string>>(new Set())
  const [editing, edit] = useState<string>()
  const [dialog, setDialog] = useState<SheetDialog>()
  const [busy, setBusy] = useState<Busy>()
  const [problems, setProblems] = useState<ReadonlyMap<string, readonly Problem[]>>(new Map())
  const view = useMemo(() => sheetView(review, info), [review, info])
  const set = useMemo<SheetSetters>(
    () => ({
      choose,
      mark,
      toggle: (id) => mark((before) => toggled(before, id)),
      edit,
      dialog: setDialog,
      busy: setBusy,
      outcome: (outcome) => setProblems(outcome.problems),
    }),
    [choose],
  )
  return useMemo(() => {
    // Until one is chosen: outside, the next line to be run there; else the last, which says what was found.
    const chosen =
      lines.find((l) => l.id === chosenId) ??
      (searched ? undefined : lines.find((l) => !view.runs.has(l.id))) ??
      lines[lines.length - 1]
    return {
      review,
      info,
      lines,
      view,
      chosen,
      chosenByHand: chosen !== undefined && chosen.id === chosenId,
      at: lines.findIndex((l) => l.id === chosen?.id),
      stale: lines.filter((l) => !view.runs.has(l.id)).length,
      marked,
      editing,
      dialog,
      busy,
      problems,
      set,
    }
  }, [review, info, lines, view, chosenId, searched, marked, editing, dialog, busy, problems, set])
}
