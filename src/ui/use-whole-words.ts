import { useEffect } from 'react'

/** The element whose words are cut off with an ellipsis where the pointer is, if any. */
function cutAt(target: EventTarget | null): HTMLElement | undefined {
  for (let at = target instanceof HTMLElement ? target : null; at; at = at.parentElement) {
    // What it said before may be of other words, or there may be room for them now.
    if (at.dataset.cutWhole !== undefined) at.removeAttribute('title')
    if (at.title || at.tagName === 'MAIN') return undefined
    if (at.scrollWidth > at.clientWidth && getComputedStyle(at).textOverflow === 'ellipsis') return at
  }
  return undefined
}

/**
 * Whatever is cut off for want of room says all of its words where the pointer rests on it: in one place for all, so that
 * none is forgotten. What has words of its own for that keeps them.
 */
export function useWholeWords(): void {
  useEffect(() => {
    const over = ({ target }: PointerEvent): void => {
      const cut = cutAt(target)
      if (!cut) return
      cut.dataset.cutWhole = ''
      cut.title = cut.textContent.trim()
    }
    document.addEventListener('pointerover', over, { passive: true })
    return () => document.removeEventListener('pointerover', over)
  }, [])
}
