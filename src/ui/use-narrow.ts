import { useSyncExternalStore } from 'react'

const NARROW = '(max-width: 880px)'

/** Is the page too narrow for two columns, as at 200 % zoom? */
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    (changed) => {
      const media = matchMedia(NARROW)
      media.addEventListener('change', changed)
      return () => media.removeEventListener('change', changed)
    },
    () => matchMedia(NARROW).matches,
    () => false,
  )
