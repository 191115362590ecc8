import type { RemarkFix } from '../../strategy'
import type { Doing } from '../doing'

/** Lines of one source changed as a remark offers it; several remarks that say the same are mended together. */
export const takeFixes: Doing<{ sourceId: string; fixes: readonly RemarkFix[] }> = (_, { sourceId, fixes }) =>
  fixes.map(({ lineId, text, limits }) => ({
    kind: 'line.change',
    payload: { sourceId, id: lineId, text, ...(limits ? { limits: [...limits] } : {}) },
  }))

/** Remarks left as they are, each with the same reason. */
export const leaveRemarks: Doing<{
  sourceId: string
  remarks: readonly { key: string; message: string }[]
  reason: string
}> = ({ newId }, { sourceId, remarks, reason }) =>
  remarks.map(({ key, message }) => ({
    kind: 'remark.leave',
    payload: { id: newId(), sourceId, key, message, reason },
  }))
