import { useLayoutEffect, useMemo } from 'react'
import { create } from 'zustand'

/** One thing a person can do: the key, the palette and the menus only place it. */
export interface Action {
  id: string
  label: string
  /** One key without modifiers ("J"), or with Shift ("Shift+J"); shown where it acts. */
  key?: string
  /** Shown in the strip at the bottom. */
  strip?: boolean
  /** May it be done now? Absent: always. */
  when?: () => boolean
  run: () => void
}

/** What a person has made of the keys: all switched off, and their own in the place of some, by action. */
export interface OwnKeys {
  off: boolean
  keys: Readonly<Record<string, string>>
}

interface Registry {
  groups: ReadonlyMap<string, readonly Action[]>
  paletteOpen: boolean
  keysOpen: boolean
  own: OwnKeys
}

export const useRegistry = create<Registry>(() => ({
  groups: new Map(),
  paletteOpen: false,
  keysOpen: false,
  own: { off: false, keys: {} },
}))

/** The key of an action as it is now. */
export const keyOf = (action: Action, own: OwnKeys): string | undefined => own.keys[action.id] ?? action.key

/** What was kept of the keys, if it is whole. */
export const readOwnKeys = (value: unknown): OwnKeys | undefined => {
  if (typeof value !== 'object' || value === null) return undefined
  const { off, keys } = value as Partial<OwnKeys>
  return typeof off === 'boolean' && typeof keys === 'object' ? { off, keys } : undefined
}

/**
 * Offers these actions for as long as the component is shown. `group` names their owner.
 * Before the screen is painted: a key pressed on what is seen must meet the actions of what is seen.
 */
export function useActions(group: string, actions: readonly Action[]): void {
  useLayoutEffect(() => {
    useRegistry.setState((s) => ({ groups: new Map(s.groups).set(group, actions) }))
    return () =>
      useRegistry.setState((s) => {
        const groups = new Map(s.groups)
        if (groups.get(group) === actions) groups.delete(group)
        return { groups }
      })
  }, [group, actions])
}

/** All actions that may be done now, those of the stage before those of the frame. */
export function useAllActions(): Action[] {
  const groups = useRegistry((s) => s.groups)
  return useMemo(() => [...groups].reverse().flatMap(([, actions]) => actions), [groups])
}

/** The name of a key press as actions write it: "J", "Shift+J", "ArrowLeft", "Shift+ArrowUp". */
export function keyName(event: KeyboardEvent): string {
  const key = event.key.length === 1 ? event.key.toUpperCase() : event.key
  return event.shiftKey && /^([A-Z]|Arrow[A-Z][a-z]+)$/.test(key) ? `Shift+${key}` : key
}

/** Is the person typing, so that single keys belong to the text? */
export function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false
  if (target instanceof HTMLInputElement && ['radio', 'checkbox', 'button', 'file'].includes(target.type))
    return target.closest('[role=dialog]') !== null
  return (
    target.isContentEditable ||
    ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
    target.closest('[role=dialog]') !== null
  )
}
