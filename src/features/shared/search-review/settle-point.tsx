'use client'
import { useState } from 'react'
import { settleSearchPoint, takeProposal } from '@/core/doing'
import { settlingOf, type Review, type SearchPoint } from '@/core/review'
import { useStore } from '@/page/provider'
import { ReasonInput } from '../reason-input'

/** Acts on what a reviewer of the searches asked for, or declines it with a reason. */
export function SettlePoint({ review, point }: { review: Review; point: SearchPoint }) {
  const { deed, doIt } = useStore()
  const [how, setHow] = useState<'taken' | 'declined'>()
  const settled = settlingOf(review, point)
  if (how)
    return (
      <ReasonInput
        label={how === 'taken' ? 'What was done' : 'Why it is declined'}
        placeholder={how === 'taken' ? 'what was done' : 'declined, because …'}
        cancel={() => setHow(undefined)}
        take={(reason) => {
          if (!reason) return
          deed(doIt(settleSearchPoint, { point, as: how, reason }))
          setHow(undefined)
        }}
      />
    )
  if (settled)
    return (
      <button className="plain link" onClick={() => setHow(settled.as === 'taken' ? 'declined' : 'taken')}>
        {settled.as === 'taken' ? 'decline it after all' : 'act on it after all'}
      </button>
    )
  const line =
    'lineId' in point ? review.strategies[point.sourceId]?.find((l) => l.id === point.lineId) : undefined
  return (
    <>
      {'proposal' in point && point.proposal && line && line.described === undefined && (
        <>
          <button className="plain link" onClick={() => deed(doIt(takeProposal, { comment: point }))}>
            put it in the line
          </button>
          {' · '}
        </>
      )}
      <button className="plain link" onClick={() => setHow('taken')}>
        acted on: …
      </button>
      {' · '}
      <button className="plain link" onClick={() => setHow('declined')}>
        decline it, because …
      </button>
    </>
  )
}
