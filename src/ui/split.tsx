'use client'
import { useState, type KeyboardEvent, type PointerEvent } from 'react'

/**
 * The height of an upper part, in parts of a hundred of the whole, which a person sets by dragging the line below it
 * or with the arrows. It is remembered in this browser under `name`.
 */
export function useSplit(name: string, initial: number) {
  const [part, setPart] = useState(() => {
    const kept =
      typeof localStorage === 'undefined' ? NaN : Number(localStorage.getItem(`luvren.split.${name}`))
    return kept >= 10 && kept <= 90 ? kept : initial
  })
  const set = (value: number): void => {
    const kept = Math.round(Math.max(10, Math.min(90, value)))
    setPart(kept)
    localStorage.setItem(`luvren.split.${name}`, String(kept))
  }
  const handle = {
    role: 'separator' as const,
    tabIndex: 0,
    className: 'split',
    'aria-orientation': 'horizontal' as const,
    'aria-label': 'How much room the upper part has',
    'aria-valuenow': part,
    'aria-valuemin': 10,
    'aria-valuemax': 90,
    onPointerDown: (event: PointerEvent<HTMLElement>) =>
      event.currentTarget.setPointerCapture(event.pointerId),
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (!event.currentTarget.hasPointerCapture(event.pointerId)) return
      const whole = event.currentTarget.parentElement!.getBoundingClientRect()
      set(((event.clientY - whole.top) / whole.height) * 100)
    },
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return
      event.preventDefault()
      event.stopPropagation()
      set(part + (event.key === 'ArrowUp' ? -4 : 4))
    },
  }
  return { part, handle }
}
