import { useEffect, useEffectEvent, useState } from 'react'

const holdsFiles = (event: DragEvent): boolean => event.dataTransfer?.types.includes('Files') ?? false

/**
 * Files that are dropped anywhere on the page; true while some are held over it. Without it a browser leaves the page for
 * the file.
 */
export function useFileDrop(take: (files: readonly [File, ...File[]]) => void): boolean {
  const [over, setOver] = useState(false)
  const taken = useEffectEvent(take)
  useEffect(() => {
    // Each part that is entered is told of before the one that is left.
    let within = 0
    const enter = (event: DragEvent): void => {
      if (holdsFiles(event)) setOver(++within > 0)
    }
    const leave = (event: DragEvent): void => {
      if (holdsFiles(event)) setOver(--within > 0)
    }
    const hold = (event: DragEvent): void => {
      if (holdsFiles(event)) event.preventDefault()
    }
    const drop = (event: DragEvent): void => {
      if (!holdsFiles(event)) return
      event.preventDefault()
      // No editor puts the letters of a file in its text.
      event.stopPropagation()
      within = 0
      setOver(false)
      const [first, ...further] = event.dataTransfer?.files ?? []
      if (first) taken([first, ...further])
    }
    document.addEventListener('dragenter', enter, true)
    document.addEventListener('dragleave', leave, true)
    document.addEventListener('dragover', hold, true)
    document.addEventListener('drop', drop, true)
    return () => {
      document.removeEventListener('dragenter', enter, true)
      document.removeEventListener('dragleave', leave, true)
      document.removeEventListener('dragover', hold, true)
      document.removeEventListener('drop', drop, true)
    }
  }, [])
  return over
}
