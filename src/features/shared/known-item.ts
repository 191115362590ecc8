import type { KnownItem } from '@/core/review'

/** What a record of a known item is found by; absent values stay absent. */
export const askedOf = ({ id, title, year, doi }: KnownItem) => ({
  id,
  title,
  ...(year === undefined ? {} : { year }),
  ...(doi === undefined ? {} : { doi }),
})
