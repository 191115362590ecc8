import type { Place } from '@/core/selection'

const KEPT: ReadonlySet<Place> = new Set<Place>([
  'to be sought',
  'sought',
  'not had',
  'close open',
  'included',
])

/** Was a work ruled in, and not out since? */
export const isKept = (place: Place): boolean => KEPT.has(place)
