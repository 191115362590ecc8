import type { Entry } from './entry'

/**
 * How two journals stand to each other: the same; one goes on where the other ends; both have deeds of their own behind a
 * last common one; or they are of two reviews.
 */
export type Relation =
  | { is: 'same' }
  | { is: 'first ahead' | 'second ahead'; by: number }
  | { is: 'parted'; /** Common entries. */ after: number; first: number; second: number }
  | { is: 'unrelated' }

/** Compares two journals by the digests of their entries, which no two histories share. */
export function relate(first: readonly Entry[], second: readonly Entry[]): Relation {
  // One may have left its first form out: what counts is where both speak of the same entry.
  const from = Math.max(first[0]?.seq ?? 0, second[0]?.seq ?? 0)
  const [a, b] = [first, second].map((entries) => entries.filter((e) => e.seq >= from)) as [Entry[], Entry[]]
  let common = 0
  while (common < a.length && common < b.length && a[common]!.digest === b[common]!.digest) common++
  const [more, other] = [a.length - common, b.length - common]
  if (!common) return { is: 'unrelated' }
  if (!more && !other) return { is: 'same' }
  if (!other) return { is: 'first ahead', by: more }
  if (!more) return { is: 'second ahead', by: other }
  return { is: 'parted', after: from + common, first: more, second: other }
}
