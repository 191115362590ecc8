'use client'

import { useEffect } from 'react'

/** What a review is shown with, the stage that it opens on first. */
const STAGES = [
  () => import('@/features/question/question-stage'),
  () => import('@/features/methods/methods-stage'),
  () => import('@/features/searches/searches-stage'),
  () => import('@/features/records/records-stage'),
  () => import('@/features/selection/selection-stage'),
  () => import('@/features/terms/terms-stage'),
]

/** How long the page is left alone first, in milliseconds; some browsers do not say when they are idle. */
const AFTER = 1000
const whenIdle = (work: () => void): void => {
  if ('requestIdleCallback' in window) requestIdleCallback(work)
  else setTimeout(work, AFTER)
}

/**
 * Starts the modules of the stages one after another while nobody waits, so that a review that is opened or taken in from
 * here does not hold the page for them. Whatever fails to load is loaded again when it is needed, and its failure told there.
 */
export function Ahead(): null {
  useEffect(() => {
    let left = false
    const start = (n: number): void => {
      if (left || n === STAGES.length) return
      const next = (): void => whenIdle(() => start(n + 1))
      STAGES[n]!().then(next, next)
    }
    const timer = setTimeout(() => whenIdle(() => start(0)), AFTER)
    return () => {
      left = true
      clearTimeout(timer)
    }
  }, [])
  return null
}
