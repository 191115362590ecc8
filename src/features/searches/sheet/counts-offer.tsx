'use client'
import { useMemo } from 'react'
import { chooseCounts, countsProposed } from '@/core/doing'
import type { Review } from '@/core/review'
import { useStore } from '@/page/provider'

/** Where another line than the last may be what the strategy found: which, why, and the choice between the two. */
export function CountsOffer({ review, sourceId }: { review: Review; sourceId: string }) {
  const { doIt, deed } = useStore()
  const proposed = useMemo(() => countsProposed(review, sourceId), [review, sourceId])
  if (!proposed) return null
  const { line, number, because, instead } = proposed
  const choose = (lineId: string) => (): void => deed(doIt(chooseCounts, { sourceId, lineId }))
  return (
    <p className="note counts-offer" role="note">
      Line {instead.number} is the last and says what this search found.{' '}
      {because === 'records'
        ? `Records were brought in of line ${number}.`
        : `Line ${number} is built of more lines, and no other uses it.`}{' '}
      <button className="plain link" onClick={choose(line.id)}>
        Line {number} counts
      </button>{' '}
      ·{' '}
      <button className="plain link" onClick={choose(instead.line.id)}>
        Line {instead.number} does
      </button>
    </p>
  )
}
