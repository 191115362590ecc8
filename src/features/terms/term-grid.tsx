'use client'
import { dropGap, moveTerm } from '@/core/doing'
import {
  DndContext,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core'
import { memo, useMemo } from 'react'
import type { Concept, Gap, Review, Term } from '@/core/review'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { Strand } from '@/ui/strand'
import { Chip, type ChipDeeds } from './chip'

export interface Cell {
  conceptId: string
  /** `all` is the column of text words. */
  sourceId: string
}
export const sameCell = (a: Cell, b: Cell): boolean =>
  a.conceptId === b.conceptId && a.sourceId === b.sourceId
const keyOf = (conceptId: string, sourceId: string): string => `${conceptId}/${sourceId}`
/** The same object at every drawing: another one would have every chip drawn again. */
const BY_MOVING = { activationConstraint: { distance: 6 } }
const NO_TERMS: readonly Term[] = []
const NO_GAPS: readonly Gap[] = []

function byCell<T extends { conceptId: string; sourceId: string }>(list: readonly T[]): Map<string, T[]> {
  const cells = new Map<string, T[]>()
  for (const one of list) {
    const key = keyOf(one.conceptId, one.sourceId)
    const known = cells.get(key)
    if (known) known.push(one)
    else cells.set(key, [one])
  }
  return cells
}

/** A row a concept, text words first, then the vocabulary of each source. Chips can be dragged to another row. */
export function TermGrid({
  review,
  columns,
  cell,
  choose,
  deeds,
}: {
  review: Review
  columns: readonly SourceInfo[]
  cell: Cell
  choose: (cell: Cell) => void
  deeds: ChipDeeds
}) {
  const store = useStore()
  const terms = useMemo(() => byCell(review.terms), [review.terms])
  const gaps = useMemo(() => byCell(review.gaps), [review.gaps])
  const sensors = useSensors(useSensor(PointerSensor, BY_MOVING))
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    const term = review.terms.find((t) => t.id === active.id)
    const concept = review.concepts.find((c) => c.id === over?.id)
    if (term && concept) store.deed(store.doIt(moveTerm, { term, conceptId: concept.id }))
  }
  return (
    <DndContext id="term-grid" sensors={sensors} onDragEnd={onDragEnd}>
      <table className="grid">
        <colgroup>
          <col style={{ width: 136 }} />
          <col style={{ width: columns.length > 1 ? '30%' : '45%' }} />
        </colgroup>
        <thead>
          <tr>
            <th scope="col">
              <span className="hidden-text">Concept</span>
            </th>
            <th scope="col">Text words, everywhere</th>
            {columns.map((s) => (
              <th
                key={s.source.id}
                scope="col"
                title={s.vocabulary?.title}
                data-anchor={`source:${s.source.id}`}
              >
                {s.short} headings
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {review.concepts.map((c) => (
            <Row key={c.id} concept={c}>
              {['all', ...columns.map((s) => s.source.id)].map((sourceId) => (
                <GridCell
                  key={sourceId}
                  concept={c}
                  sourceId={sourceId}
                  on={cell.conceptId === c.id && cell.sourceId === sourceId}
                  terms={terms.get(keyOf(c.id, sourceId)) ?? NO_TERMS}
                  gaps={gaps.get(keyOf(c.id, sourceId)) ?? NO_GAPS}
                  choose={choose}
                  deeds={deeds}
                />
              ))}
            </Row>
          ))}
        </tbody>
      </table>
    </DndContext>
  )
}

function Row({ concept, children }: { concept: Concept; children: React.ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: concept.id })
  return (
    <tr ref={setNodeRef} className={isOver ? 'over' : ''} data-anchor={`concept:${concept.id}`}>
      <th className="row" scope="row" title={concept.name}>
        <Strand letter={concept.letter} /> {concept.name}
        {!concept.essential && <span className="sub"> optional</span>}
      </th>
      {children}
    </tr>
  )
}

const GridCell = memo(function GridCell({
  concept,
  sourceId,
  on,
  terms,
  gaps,
  choose,
  deeds,
}: {
  concept: Concept
  sourceId: string
  on: boolean
  terms: readonly Term[]
  gaps: readonly Gap[]
  choose: (cell: Cell) => void
  deeds: ChipDeeds
}) {
  const { deed, doIt } = useStore()
  return (
    <td
      className={on ? 'on' : ''}
      aria-current={on}
      onClick={() => choose({ conceptId: concept.id, sourceId })}
    >
      {terms.map((t) => (
        <Chip key={t.id} term={t} letter={concept.letter} deeds={deeds} />
      ))}
      {gaps.map((g) => (
        <span key={g.id} className="gap">
          nothing for {g.about}
          <button
            className="plain remove"
            tabIndex={-1}
            aria-label={`Take back that there is nothing for ${g.about}`}
            onClick={(e) => {
              e.stopPropagation()
              deed(doIt(dropGap, g.id))
            }}
          >
            ×
          </button>
        </span>
      ))}
    </td>
  )
})
