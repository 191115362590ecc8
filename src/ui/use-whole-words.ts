import { useEffect } from 'react'

const CUT = '[data-cut-whole]'

/** The element whose words are cut off with an ellipsis where the pointer is, if any. */
function cutAt(target: EventTarget | null): HTMLElement | undefined {
  for (let at = target instanceof HTMLElement ? target : null; at; at = at.parentElement) {
    if (at.scrollWidth > at.clientWidth && getComputedStyle(at).textOverflow === 'ellipsis') return at
    if (at.title || at.tagName === 'MAIN') return undefined
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
      if (!cut || (cut.title && !cut.matches(CUT))) return
      cut.dataset.cutWhole = ''
      cut.title = cut.textContent.trim()
    }
    document.addEventListener('pointerover', over, { passive: true })
    return () => document.removeEventListener('pointerover', over)
  }, [])
}
