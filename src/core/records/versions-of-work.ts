import type { Rec } from './record'
import { EARLY, oneType } from './types'

/**
 * The versions that the records of a work are of, as their types say: "a preprint and the journal article". Undefined where
 * all are of one.
 */
export function versionsOfWork(records: readonly Pick<Rec, 'type'>[]): string | undefined {
  const types = records.flatMap(({ type }) => (type === undefined ? [] : [oneType(type)]))
  const [early, published] = [types.find((t) => EARLY.has(t)), types.find((t) => !EARLY.has(t))]
  return early === undefined || published === undefined ? undefined : `a ${early} and the ${published}`
}
