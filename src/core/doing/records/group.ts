import type { Doing } from '../doing'

/** A work with all its records. */
interface Grouped {
  id: string
  records: readonly string[]
}

/**
 * Puts a work into a group, or takes it out: out of it go all its records, so that none of them keeps it in. A group that
 * is named and not there yet is made.
 */
export const putInGroup: Doing<{ work: Grouped; isIn: boolean } & ({ group: string } | { named: string })> = (
  { newId },
  { work, isIn, ...which },
) => {
  const records = isIn ? [work.id] : [...work.records]
  if ('group' in which) return [{ kind: 'group.put', payload: { id: which.group, records, in: isIn } }]
  const name = which.named.trim()
  if (!name) return []
  const id = newId()
  return [
    { kind: 'group.set', payload: { id, name } },
    { kind: 'group.put', payload: { id, records, in: isIn } },
  ]
}
