/**
 * Two copies of one review that parted can both lie in this browser. The review has one id, which stands in its journal and
 * names it everywhere; here the second copy lies under that id with a number behind it, in whatever is kept by it.
 */
const COPY = /~(\d+)$/

/** The id of the review behind the id under which a copy of it lies here. */
export const reviewIdOf = (hereId: string): string => hereId.replace(COPY, '')

/** The number of a copy: the first one has none. */
export const copyNumber = (hereId: string): number => Number(COPY.exec(hereId)?.[1] ?? 1)

/** An id that is free for one more copy of a review. */
export function freeCopyId(reviewId: string, taken: Iterable<string>): string {
  const numbers = [...taken].filter((id) => reviewIdOf(id) === reviewId).map(copyNumber)
  return numbers.length ? `${reviewId}~${Math.max(...numbers) + 1}` : reviewId
}
