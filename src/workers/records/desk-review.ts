import type { Review } from '@/core/review'
import type { DeskReview } from './records-desk'

type DeskParts = { [K in keyof DeskReview]?: Review[K] | undefined } & Pick<
  Review,
  'id' | 'imports' | 'decisions' | 'rulings'
>

/** What the record desk has to know of a review. */
export const deskReview = ({
  id,
  imports,
  decisions,
  rulings,
  partition,
  choices,
  groups,
  samePersons,
}: DeskParts): DeskReview => ({
  id,
  imports,
  decisions,
  rulings,
  ...(partition ? { partition } : {}),
  ...(choices ? { choices } : {}),
  ...(groups ? { groups } : {}),
  ...(samePersons ? { samePersons } : {}),
})
