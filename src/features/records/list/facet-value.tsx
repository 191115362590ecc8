'use client'
import { useState, type DragEvent, type ReactNode } from 'react'
import { DRAGGED_WORK } from './works-list'

/** One value of a facet; of a group, a work can be dropped on it. */
export function FacetValue({
  state,
  drop,
  children,
}: {
  state: 'in' | 'out' | undefined
  drop: ((workId: string) => void) | undefined
  children: ReactNode
}) {
  const [over, setOver] = useState(false)
  const takes = (e: DragEvent): boolean => drop !== undefined && e.dataTransfer.types.includes(DRAGGED_WORK)
  return (
    <div
      className="works-facet"
      data-state={state}
      data-over={over}
      onDragOver={(e) => {
        if (!takes(e)) return
        e.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        setOver(false)
        if (!takes(e)) return
        e.preventDefault()
        drop?.(e.dataTransfer.getData(DRAGGED_WORK))
      }}
    >
      {children}
    </div>
  )
}
