import { courseFigures } from '@/core/account'
import type { Entry, Review, Work } from '@/core/review'
import type { ShelfItem } from './db'

/** The line that the shelf shows of a review. */
export function shelfItem(
  id: string,
  entries: readonly Entry[],
  review: Review,
  works: Work[],
  demo: boolean,
): ShelfItem {
  return {
    id,
    title: review.title,
    question: review.question,
    at: entries[entries.length - 1]?.at ?? '',
    figures: courseFigures(review, works).map((f) => f.value),
    letters: review.concepts.map((c) => c.letter),
    demo,
  }
}
