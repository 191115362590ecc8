'use client'
import type { Concept, Review } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { DroppedReason } from './dropped'
import { HeadingsSeen } from './headings-seen'
import { Reader } from './reader'
import { sameCell, type Cell } from './term-grid'
import { WordEntry } from './word-entry'

/** What belongs to a cell: the vocabulary of its source, or words; what was seen there by others; what was dropped. */
export function CellPane({
  review,
  sources,
  columns,
  cell,
  openAt,
}: {
  review: Review
  sources: readonly SourceInfo[]
  /** The sources with headings. */
  columns: readonly SourceInfo[]
  cell: Cell
  openAt: { label: string } | undefined
}) {
  const info = columns.find((s) => s.source.id === cell.sourceId)
  const concept = review.concepts.find((c) => c.id === cell.conceptId)!
  return (
    <>
      {!columns.length && (
        <p className="quiet-note">
          No source with a thesaurus is planned yet. Add one under Question, “Where to look”, or bring a
          vocabulary in from a file (<kbd>V</kbd>).
        </p>
      )}
      {info?.vocabulary ? (
        <Reader
          key={`${concept.id}/${cell.sourceId}`}
          concept={concept}
          review={review}
          info={info}
          others={columns.filter((s) => s !== info)}
          openAt={openAt}
        />
      ) : info ? null : (
        <WordEntry key={concept.id} concept={concept} review={review} sources={sources} />
      )}
      {info && !info.vocabulary?.file && !info.standin && (
        <HeadingsSeen key={info.source.id} concept={concept} review={review} info={info} />
      )}
      <DroppedHere review={review} cell={cell} concept={concept} />
    </>
  )
}

/** What was dropped from a cell, with the reasons. */
function DroppedHere({ review, cell, concept }: { review: Review; cell: Cell; concept: Concept }) {
  const dropped = review.terms.filter((t) => sameCell(t, cell) && t.status === 'dropped')
  if (!dropped.length) return null
  return (
    <section aria-label={`Dropped from ${concept.name}`} className="above-3">
      {dropped.map((t) => (
        <DroppedReason key={t.id} term={t} autoFocus={false} done={() => undefined} />
      ))}
    </section>
  )
}
