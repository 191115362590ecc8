import type { Doing } from '../doing'

/** Notes that works were handed out as a file: in which format, how many, which, and with which fields where they were chosen. */
export const logExport: Doing<{
  format: string
  works: number
  which: string
  fields?: readonly string[]
}> = ({ newId, now }, { fields, ...about }) => [
  {
    kind: 'records.export',
    payload: { id: newId(), at: now, ...about, ...(fields ? { fields: [...fields] } : {}) },
  },
]
