import { startTransition, useEffect, useState } from 'react'

/**
 * A value a moment later, in milliseconds: what changes again before that is drawn once. For what stands beside the work and
 * is only read, so that the work is on the screen first.
 */
export function useSoon<T>(value: T, after: number): T {
  const [shown, setShown] = useState(value)
  useEffect(() => {
    if (value === shown) return
    const timer = setTimeout(() => startTransition(() => setShown(() => value)), after)
    return () => clearTimeout(timer)
  }, [value, shown, after])
  return shown
}
