import { App } from 'antd'
import { useEffect } from 'react'
import { MOST_AT_ONCE, tooMuch } from './too-much'

/** The field that an event is about takes so many characters. */
const takenBy = (event: Event): number => {
  const own = event.target instanceof Element ? event.target.closest<HTMLElement>('[data-takes]') : null
  return Number(own?.dataset.takes ?? MOST_AT_ONCE)
}

/** Whatever is pasted or dropped into a field and would keep the page from answering is not put in, and a word says so. */
export function useBoundedPaste(): void {
  const { message } = App.useApp()
  useEffect(() => {
    const bound = (event: Event, text: string | null | undefined): void => {
      const words = text ? tooMuch(text.length, takenBy(event)) : undefined
      if (words === undefined) return
      event.preventDefault()
      event.stopImmediatePropagation()
      message.warning(words, 10)
    }
    const pasted = (event: ClipboardEvent): void => bound(event, event.clipboardData?.getData('text/plain'))
    const entered = (event: InputEvent): void =>
      bound(event, event.data ?? event.dataTransfer?.getData('text/plain'))
    // Before any editor sees it.
    document.addEventListener('paste', pasted, true)
    document.addEventListener('beforeinput', entered, true)
    return () => {
      document.removeEventListener('paste', pasted, true)
      document.removeEventListener('beforeinput', entered, true)
    }
  }, [message])
}
