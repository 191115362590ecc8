import type { Command } from '../../review'
import type { Doing } from '../doing'

/**
 * Says that a record is of another work than those that it stands with, and that the others are one work as before: without
 * the second, rules that brought them together by way of this record would ask for each of them again.
 */
export const takeRecordApart: Doing<{ record: string; from: readonly string[] }> = (
  _at,
  { record, from },
) => {
  const [first, ...rest] = from.filter((id) => id !== record)
  if (first === undefined) return []
  const pair = (kind: 'pair.part' | 'pair.join', a: string, b: string): Command => ({
    kind,
    payload: { a, b },
  })
  return [...rest.map((id) => pair('pair.join', first, id)), pair('pair.part', record, first)]
}
