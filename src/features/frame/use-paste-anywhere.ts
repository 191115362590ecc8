import { useEffect, useEffectEvent } from 'react'

/** A field that takes what is pasted itself, or a dialog that asks something first. */
const TAKES = 'input, textarea, select, [contenteditable]:not([contenteditable="false"]), [role="dialog"]'
/** Fewer signs than this name nothing. */
const FEWEST = 6

/** What is pasted where no field takes it: files, or a text as one. */
export function usePasteAnywhere(take: (files: readonly [File, ...File[]]) => void): void {
  const taken = useEffectEvent(take)
  useEffect(() => {
    const paste = (event: ClipboardEvent): void => {
      const at = event.target instanceof Element ? event.target : document.activeElement
      if (event.defaultPrevented || at?.closest(TAKES)) return
      const [first, ...further] = event.clipboardData?.files ?? []
      const text = event.clipboardData?.getData('text/plain') ?? ''
      if (first) taken([first, ...further])
      else if (text.trim().length >= FEWEST) taken([new File([text], 'pasted.txt')])
    }
    document.addEventListener('paste', paste)
    return () => document.removeEventListener('paste', paste)
  }, [])
}
