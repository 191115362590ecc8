import { useEffect } from 'react'

/** What takes the focus when the thing that had it is gone: the nearest part around it that is still there. */
const HOMES = '[data-anchor], [data-line], [tabindex], section, #stage'

/**
 * After a deed the focus stands on the thing it was done to, never on the page: where a button goes away with what it
 * did, the part that it belonged to takes the focus, else the stage.
 */
export function useFocusHome(): void {
  useEffect(() => {
    let homes: HTMLElement[] = []
    const remember = (event: FocusEvent): void => {
      homes = []
      for (
        let at = (event.target as HTMLElement).closest<HTMLElement>(HOMES);
        at;
        at = at.parentElement?.closest<HTMLElement>(HOMES) ?? null
      )
        homes.push(at)
    }
    let timer: ReturnType<typeof setTimeout> | undefined
    const look = (): void => {
      clearTimeout(timer)
      timer = setTimeout(() => {
        const { activeElement, body } = document
        if (activeElement !== null && activeElement !== body) return
        if (
          document.querySelector(
            '.ant-modal-wrap:not([style*="display: none"]), .ant-dropdown:not(.ant-dropdown-hidden)',
          )
        )
          return
        const home = homes.find((h) => h.isConnected) ?? document.getElementById('stage')
        if (!home) return
        if (!home.hasAttribute('tabindex')) home.tabIndex = -1
        home.focus({ preventScroll: true })
      }, 80)
    }
    document.addEventListener('focusin', remember)
    document.addEventListener('click', look)
    document.addEventListener('keyup', look)
    return () => {
      clearTimeout(timer)
      document.removeEventListener('focusin', remember)
      document.removeEventListener('click', look)
      document.removeEventListener('keyup', look)
    }
  }, [])
}
