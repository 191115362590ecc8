import type { Command, Review } from '../../review'
import type { DoingAt } from '../doing'

/**
 * The update that runs of these lines belong to: the one that goes on, as long as none of them was run in it yet; else another
 * begins, and `commands` begin it.
 */
export function updateFor(
  { review, newId }: Pick<DoingAt, 'review' | 'newId'>,
  lineIds: readonly string[],
): { review: Review; commands: Command[] } {
  const last = review.rounds.at(-1)
  const going =
    last?.kind === 'update' && !review.runs.some((r) => r.roundId === last.id && lineIds.includes(r.lineId))
  if (going) return { review, commands: [] }
  const round = { id: newId(), kind: 'update' as const, why: 'searched again' }
  return {
    review: { ...review, rounds: [...review.rounds, { ...round, from: Number.MAX_SAFE_INTEGER }] },
    commands: [{ kind: 'round.begin', payload: round }],
  }
}
