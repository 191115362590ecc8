'use client'
import { useDraggable } from '@dnd-kit/core'
import { memo, type KeyboardEvent } from 'react'
import type { Term } from '@/core/review'

export interface ChipDeeds {
  drop: (term: Term) => void
  takeBack: (term: Term) => void
  /** How a heading is taken: alone, with narrower, as main focus. */
  as: (term: Term, withNarrower: boolean, mainFocus: boolean) => void
  move: (term: Term, letter: string) => void
  open: (term: Term) => void
  /** The chip beside it, or out of the chips. */
  walk: (term: Term, step: -1 | 1) => void
  leave: () => void
}

/**
 * One term in the grid. Dragged to another row, or worked with keys once it is reached: arrows, Delete, Enter, 1 to 3
 * for a heading, Shift with a concept’s letter to move it. Other keys are left to the stage.
 */
export const Chip = memo(function Chip({
  term,
  letter,
  deeds,
}: {
  term: Term
  letter: string
  deeds: ChipDeeds
}) {
  const { setNodeRef, listeners, isDragging, transform } = useDraggable({ id: term.id, data: { term } })
  const dropped = term.status === 'dropped'
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const heading = term.kind === 'heading' && !dropped
    if (event.key === 'ArrowLeft' || event.key === 'ArrowUp') deeds.walk(term, -1)
    else if (event.key === 'ArrowRight' || event.key === 'ArrowDown') deeds.walk(term, 1)
    else if (event.key === 'Delete' || event.key === 'Backspace')
      (dropped ? deeds.takeBack : deeds.drop)(term)
    else if (event.key === 'Escape') deeds.leave()
    else if (event.key === 'Enter' && term.kind === 'heading') deeds.open(term)
    else if (heading && '123'.includes(event.key)) deeds.as(term, event.key === '2', event.key === '3')
    else if (event.shiftKey && /^[A-H]$/.test(event.key)) deeds.move(term, event.key)
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  return (
    <span
      ref={setNodeRef}
      className={`chip ${letter} ${term.kind}${dropped ? ' dropped' : ''}${isDragging ? ' dragged' : ''}`}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      id={`term-${term.id}`}
      tabIndex={-1}
      role="group"
      aria-label={`${term.expression}${term.withNarrower ? ', with narrower' : ''}${term.mainFocus ? ', main focus' : ''}${dropped ? `, dropped${term.reason ? `: ${term.reason}` : ''}` : ''}`}
      title={
        dropped
          ? (term.reason ?? 'dropped, no reason given')
          : `from: ${term.origin}${term.from ? `, ${term.from}` : ''}`
      }
      {...listeners}
      onKeyDown={onKeyDown}
      onDoubleClick={() => deeds.open(term)}
    >
      {term.named ? term.named.name : term.expression}
      {term.named && <span className="sub">{term.named.sort}</span>}
      {term.kind === 'class' && <span className="sub">class</span>}
      {term.withNarrower && <span aria-hidden>⌄</span>}
      {term.mainFocus && <span aria-hidden>◉</span>}
      <button
        className="plain remove"
        tabIndex={-1}
        aria-label={`${dropped ? 'Take back' : 'Drop'} ${term.expression}`}
        onPointerDown={(e) => e.stopPropagation()}
        onClick={(e) => {
          e.stopPropagation()
          ;(dropped ? deeds.takeBack : deeds.drop)(term)
        }}
      >
        {dropped ? '↩' : '×'}
      </button>
    </span>
  )
})
