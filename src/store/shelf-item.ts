import { courseFigures } from '@/core/account'
import type { Told } from '@/core/figures'
import type { Entry } from '@/core/review'
import type { ShelfItem } from './db'

/** The line that the shelf shows of a review. */
export function shelfItem(
  id: string,
  entries: readonly Entry[],
  { review, figures }: Pick<Told, 'review' | 'figures'>,
  demo: boolean,
): ShelfItem {
  return {
    id,
    title: review.title,
    question: review.question,
    at: entries[entries.length - 1]?.at ?? '',
    figures: courseFigures(figures).map((f) => f.value),
    letters: review.concepts.map((c) => c.letter),
    demo,
    entries: entries.length,
  }
}
