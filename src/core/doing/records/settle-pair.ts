import type { Doing } from '../doing'

/** Says of two records that they are one work, or two; what was said of them before is said otherwise. */
export const sayPair: Doing<{ a: string; b: string; same: boolean }> = (_at, { a, b, same }) =>
  a === b ? [] : [{ kind: same ? 'pair.join' : 'pair.part', payload: { a, b } }]

/** Shows, of a field in which the records of a work differ, the value of one of them. */
export const chooseValue: Doing<{ record: string; field: string }> = (_at, { record, field }) => [
  { kind: 'value.choose', payload: { recordId: record, field } },
]
