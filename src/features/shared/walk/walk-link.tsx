'use client'
import { STOPS_IN_ALL, useWalk } from './use-walk'

/** Offers the walk where the demo is come to first; nothing elsewhere, and nothing while it is under way. */
export function WalkLink() {
  const { offered, walk, left, begin } = useWalk()
  if (!offered || walk) return null
  return (
    <button className="plain link sub" onClick={begin}>
      {left
        ? `Go on with the walk, at stop ${left.stop + 1} of ${STOPS_IN_ALL}`
        : `Walk through this review in ${STOPS_IN_ALL} stops`}
    </button>
  )
}
