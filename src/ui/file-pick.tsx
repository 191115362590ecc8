'use client'
import { useCallback, useRef, type ReactNode } from 'react'

/**
 * Choosing a file: `input` is to be placed somewhere, unseen; `open` asks for a file. Files can be chosen again and again;
 * with `several`, more than one at once.
 */
export function useFilePick(
  label: string,
  accept: string,
  take: (file: File, further: readonly File[]) => void,
  several = false,
): { input: ReactNode; open: () => void } {
  const input = useRef<HTMLInputElement>(null)
  const open = useCallback(() => input.current?.click(), [])
  return {
    open,
    input: (
      <input
        ref={input}
        type="file"
        hidden
        multiple={several}
        accept={accept}
        aria-label={label}
        onChange={(e) => {
          const [chosen, ...further] = e.target.files ?? []
          e.target.value = ''
          if (chosen) take(chosen, further)
        }}
      />
    ),
  }
}
