import { useEffect, useState, type RefObject } from 'react'

/** Rows that are drawn beyond those in sight, at each end. */
const BEYOND = 10

export interface RowWindow {
  /** The height of all rows together, in pixels. */
  height: number
  /** The rows that are drawn: from, and up to but without. */
  from: number
  to: number
}

/** Which of very many rows of one height are drawn, by how far `scroll` is scrolled. It costs the same for any number. */
export function useRowWindow(
  scroll: RefObject<HTMLElement | null>,
  count: number,
  rowHeight: number,
): RowWindow {
  const [sight, setSight] = useState({ first: 0, rows: 12 })
  useEffect(() => {
    const element = scroll.current
    if (!element) return
    const look = (): void => {
      const first = Math.floor(element.scrollTop / rowHeight)
      const rows = Math.ceil(element.clientHeight / rowHeight) + 1
      setSight((before) => (before.first === first && before.rows === rows ? before : { first, rows }))
    }
    look()
    const size = new ResizeObserver(look)
    size.observe(element)
    element.addEventListener('scroll', look, { passive: true })
    return () => {
      size.disconnect()
      element.removeEventListener('scroll', look)
    }
  }, [scroll, rowHeight])
  return {
    height: count * rowHeight,
    from: Math.max(0, Math.min(sight.first, count) - BEYOND),
    to: Math.min(count, sight.first + sight.rows + BEYOND),
  }
}

/** Scrolls so far that a row is in sight; not at all where it is. */
export function scrollToRow(element: HTMLElement, at: number, rowHeight: number): void {
  const top = at * rowHeight
  const { scrollTop, clientHeight } = element
  if (top < scrollTop) element.scrollTo({ top })
  else if (top + rowHeight > scrollTop + clientHeight)
    element.scrollTo({ top: top + rowHeight - clientHeight })
}
