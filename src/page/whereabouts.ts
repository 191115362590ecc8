import { create } from 'zustand'
import type { Place, Review } from '@/core/review'

interface Whereabouts {
  /** The sheet that is open under Searches; undefined: the first. */
  sheet: string | undefined
  /** The line that is chosen in each sheet, by its source. */
  lines: Readonly<Record<string, string>>
  /** What is to be shown on the stage that is being gone to; gone once it was. */
  wanted: string | undefined
}

/** Where a person is in the open review. Nothing of it is part of the record, and nothing is kept. */
export const useWhereabouts = create<Whereabouts>(() => ({ sheet: undefined, lines: {}, wanted: undefined }))

const set = useWhereabouts.setState

export const openSheet = (sheet: string): void => set({ sheet })

export const chooseLine = (sourceId: string, lineId: string | undefined): void =>
  set(({ lines }) => {
    const { [sourceId]: _, ...others } = lines
    return { lines: lineId === undefined ? others : { ...others, [sourceId]: lineId } }
  })

/** Opens what a fact comes from (`line:…`, `source:…`), so that its stage shows it when it is gone to. */
export function leadTo(review: Review, anchor: string | undefined): void {
  const [kind, id] = anchor?.split(':') ?? []
  const of =
    kind === 'line'
      ? Object.entries(review.strategies).find(([, lines]) => lines.some((l) => l.id === id))?.[0]
      : kind === 'source'
        ? id
        : undefined
  if (of) openSheet(of)
  if (of && kind === 'line') chooseLine(of, id)
  set({ wanted: anchor })
}

/** Opens the place of a deed, so that its stage shows it when it is gone to. */
export function leadToPlace({ sourceId, anchor }: Place): void {
  if (sourceId) openSheet(sourceId)
  if (sourceId && anchor?.startsWith('line:')) chooseLine(sourceId, anchor.slice(5))
  set({ wanted: anchor })
}

/** Another review was opened: nothing of where one was holds there. */
export const leaveAll = (): void => set({ sheet: undefined, lines: {}, wanted: undefined })

export const arrived = (): void => set({ wanted: undefined })
