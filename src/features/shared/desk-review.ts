import { useEffect } from 'react'
import type { Review } from '@/core/review'
import { useSession, useStore } from '@/store/provider'
import { recordsDesk, type DeskReview } from '@/workers'

type Parts = { [K in keyof DeskReview]-?: Review[K] | undefined } & Pick<
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
}: Parts): DeskReview => ({
  id,
  imports,
  decisions,
  rulings,
  ...(partition ? { partition } : {}),
  ...(choices ? { choices } : {}),
  ...(groups ? { groups } : {}),
})

/** On the stage of records the desk reads them while the page does, not after it. */
export function useReadAhead(stage: string): void {
  const { deed } = useStore()
  const ahead = useSession((s) => s.ahead)
  const wanted = stage === 'records' ? ahead : undefined
  useEffect(() => {
    if (wanted?.imports.length) deed(recordsDesk().open(deskReview({ ...NOTHING, ...wanted })))
  }, [wanted, deed])
}
const NOTHING = { partition: undefined, choices: undefined, groups: undefined }
