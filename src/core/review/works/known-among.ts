import { findRecord, type Findable, type RecordFinder } from '../../records'
import type { KnownItem } from '../values'

/**
 * The work that each known item is, by the item's id; items that are none of these works are left out. The finder has what
 * is shown of the works, in their order.
 */
export function knownAmong(
  works: readonly { id: string }[],
  finder: RecordFinder<Findable>,
  items: readonly KnownItem[],
): ReadonlyMap<string, string> {
  const found = new Map<string, string>()
  for (const { id, title, year, doi } of items) {
    const at = findRecord(finder, {
      title,
      ...(year === undefined ? {} : { year }),
      ...(doi === undefined ? {} : { doi }),
    })?.record
    if (at !== undefined) found.set(id, works[at]!.id)
  }
  return found
}
