import { pointName, type CommentSettled, type SearchComment, type SearchPoint } from '../../review'
import type { Doing } from '../doing'

/** Says what was done with what a reviewer of the searches asked for. Nothing is done without a word on it. */
export const settleSearchPoint: Doing<{ point: SearchPoint } & Pick<CommentSettled, 'as' | 'reason'>> = (
  _at,
  { point, as, reason },
) =>
  reason.trim()
    ? [
        {
          kind: 'searchreview.settle',
          payload: {
            reader: point.reader,
            ...pointName(point),
            said: point.at,
            as,
            reason: reason.trim(),
          },
        },
      ]
    : []

/** Puts what a comment proposes into its line, and says that it was acted on so. */
export const takeProposal: Doing<{ comment: SearchComment }> = (at, { comment }) => {
  const { sourceId, lineId, proposal } = comment
  const line = at.review.strategies[sourceId]?.find((l) => l.id === lineId)
  if (!proposal || !line || line.described !== undefined) return []
  return [
    { kind: 'line.change', payload: { sourceId, id: line.id, text: proposal.text } },
    ...settleSearchPoint(at, { point: comment, as: 'taken', reason: 'the line was changed as proposed' }),
  ]
}
