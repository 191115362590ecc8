'use client'
import { useMemo } from 'react'
import { plural } from '@/core/base'
import type { PassName } from '@/core/review'
import { touchedByChange } from '@/core/selection'
import type { Selected } from '../use-selected'

/** Says that questions read otherwise than when works were ruled by them, and how many rulings hung on what changed. */
export function Changed({
  pass,
  selected: { review, ruled },
  nameCriteria,
}: {
  pass: PassName
  selected: Selected
  nameCriteria: () => void
}) {
  const { criteria, criteriaVersions } = review
  const touchedIn = useMemo(
    () => touchedByChange({ criteria, ...(criteriaVersions ? { criteriaVersions } : {}) }, pass),
    [criteria, criteriaVersions, pass],
  )
  const touched = useMemo(() => touchedIn(ruled), [touchedIn, ruled])
  const all = touched.reduce((n, t) => n + t.rulings, 0)
  if (!all) return null
  return (
    <p className="note">
      A question reads otherwise than when {plural(all, 'ruling')} that hung on it{' '}
      {all === 1 ? 'was' : 'were'} made{touched.length > 1 ? `, by ${plural(touched.length, 'reader')}` : ''}.{' '}
      <button className="plain link" onClick={nameCriteria}>
        Ask these again
      </button>
    </p>
  )
}
