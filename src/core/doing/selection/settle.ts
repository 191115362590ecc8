import type { PassName, Settlement } from '../../review'
import type { Doing } from '../doing'

/** How a difference can have been settled, with the words that stand there until somebody gives others. */
export const SETTLED_AFTER = {
  talk: 'by talking it over',
  'third person': 'by a third person',
  rule: 'by the rule for differences',
} as const satisfies Record<NonNullable<Settlement['after']>, string>

/** Settles works that were ruled differently, several of them in the same way at once. */
export const settle: Doing<{
  ids: readonly string[]
  pass: PassName
  verdict: 'in' | 'out'
  criterionId?: string | undefined
  reason?: string | undefined
  after: NonNullable<Settlement['after']>
  how: string
}> = ({ person }, { ids, pass, verdict, criterionId, reason, after, how }) => {
  const [recordId, ...also] = ids
  if (recordId === undefined) return []
  return [
    {
      kind: 'ruling.settle',
      payload: {
        recordId,
        ...(also.length ? { also } : {}),
        pass,
        verdict,
        ...(verdict === 'out' && criterionId ? { criterionId } : {}),
        ...(verdict === 'out' && !criterionId && reason?.trim() ? { reason: reason.trim() } : {}),
        by: person,
        how: how.trim() || SETTLED_AFTER[after],
        after,
      },
    },
  ]
}
