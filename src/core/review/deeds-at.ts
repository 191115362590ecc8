import { commandOf, type Entry } from './journal'
import { placeOf } from './last-deed'
import type { Place } from './place'

/** What was done at a place of the review: how often, and the last time. */
export interface DeedsAt {
  count: number
  last: Pick<Entry, 'at' | 'by' | 'kind'> | undefined
}

/**
 * The entries of the journal that were done to what stands at a place: the same stage, and where the place names a thing,
 * that thing; of a source, what was done in its sheet too. What is not understood here counts for nothing.
 */
export function deedsAt(
  entries: readonly Entry[],
  { stage, anchor }: Pick<Place, 'stage' | 'anchor'>,
): DeedsAt {
  const [kind, id] = anchor?.split(':') ?? []
  const there = entries.filter((entry) => {
    const read = commandOf(entry)
    const place = read.ok ? placeOf(read.value) : undefined
    if (!place) return false
    if (kind === 'source') {
      const of = read.ok && (read.value.payload as { sourceId?: unknown }).sourceId
      return place.anchor === anchor || place.sourceId === id || of === id
    }
    return anchor === undefined ? place.stage === stage : place.anchor === anchor
  })
  return { count: there.length, last: there.at(-1) }
}
