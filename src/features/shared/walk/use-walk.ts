import { useEffect } from 'react'
import { create } from 'zustand'
import { beginWalk, readWalk, STOPS, type Walk } from '@/core/doing'
import { useSession, useStore } from '@/page/provider'

/** The review that is walked through, and under which name it is kept how far somebody is. */
const WALKED = 'demo'
const KEPT = 'walk'

interface Walking {
  /** Where somebody is; undefined before the walk was begun and when it was left or ended. */
  walk: Walk | undefined
  /** Where it can be taken up again. */
  left: Walk | undefined
}
const useWalking = create<Walking>(() => ({ walk: undefined, left: undefined }))

export interface WalkHere extends Walking {
  /** Can this review be walked through? */
  offered: boolean
  /** Begins, or goes on where it was left. */
  begin: () => void
  go: (walk: Walk | undefined) => void
  leave: () => void
}

/** The walk through the demo: begun, left and taken up again, in this browser. */
export function useWalk(): WalkHere {
  const { deed, setSetting } = useStore()
  const reviewId = useSession((s) => s.reviewId)
  const entries = useSession((s) => s.entries.length)
  const { walk, left } = useWalking()
  const put = (next: Walking): void => {
    useWalking.setState(next)
    deed(setSetting(KEPT, { ...next }))
  }
  return {
    offered: reviewId === WALKED,
    walk: reviewId === WALKED ? walk : undefined,
    left,
    begin: () => put({ walk: left ?? beginWalk(entries), left: undefined }),
    go: (next) => put({ walk: next, left: undefined }),
    leave: () => put({ walk: undefined, left: walk }),
  }
}

/** Takes the walk up where this browser left it. */
export function useWalkKept(): void {
  const { deed, setting } = useStore()
  useEffect(() => {
    deed(
      setting(KEPT).then((kept) => {
        const { walk, left } = (kept ?? {}) as { walk?: unknown; left?: unknown }
        useWalking.setState({ walk: readWalk(walk), left: readWalk(left) })
      }),
    )
  }, [deed, setting])
}

export const STOPS_IN_ALL = STOPS.length
