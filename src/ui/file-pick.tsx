'use client'
import { useCallback, useRef, type ReactNode } from 'react'

/** Choosing a file: `input` is to be placed somewhere, unseen; `open` asks for a file. Files can be chosen again and again. */
export function useFilePick(
  label: string,
  accept: string,
  take: (file: File) => void,
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
        accept={accept}
        aria-label={label}
        onChange={(e) => {
          const [chosen] = e.target.files ?? []
          e.target.value = ''
          if (chosen) take(chosen)
        }}
      />
    ),
  }
}
