import { useLayoutEffect, useRef, useState } from 'react'
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

/** How far in a place stands: around everything, on a stage, in a pane of it, in a part of that. */
const RANKS = ['frame', 'stage', 'pane', 'part'] as const
export type Rank = (typeof RANKS)[number]

/** What one place of the page offers. */
export interface Offered {
  rank: Rank
  /** When it began to be shown. */
  since: number
  actions: readonly Action[]
}

interface Registry {
  /** By the name of its owner. */
  offered: ReadonlyMap<string, Offered>
  /** All of them, what is innermost before what stands around it. */
  actions: readonly Action[]
  paletteOpen: boolean
  keysOpen: boolean
  whereFromOpen: boolean
  guideOpen: boolean
  own: OwnKeys
}

export const useRegistry = create<Registry>(() => ({
  offered: new Map(),
  actions: [],
  paletteOpen: false,
  keysOpen: false,
  whereFromOpen: false,
  guideOpen: false,
  own: { off: false, keys: {} },
}))

/** Opens the guide beside the work, or closes it. */
export const toggleGuide = (): void => useRegistry.setState((s) => ({ guideOpen: !s.guideOpen }))

/** The key of an action as it is now. */
export const keyOf = (action: Action, own: OwnKeys): string | undefined => own.keys[action.id] ?? action.key

/** What was kept of the keys, if it is whole. */
export const readOwnKeys = (value: unknown): OwnKeys | undefined => {
  if (typeof value !== 'object' || value === null) return undefined
  const { off, keys } = value as Partial<OwnKeys>
  return typeof off === 'boolean' && typeof keys === 'object' ? { off, keys } : undefined
}

/**
 * Whose key counts where two have the same: what is further in comes first, whenever it was drawn; of two that stand side
 * by side, what came last.
 */
export const inOrder = (offered: readonly Offered[]): Action[] =>
  [...offered]
    .sort((x, y) => RANKS.indexOf(y.rank) - RANKS.indexOf(x.rank) || y.since - x.since)
    .flatMap((o) => o.actions)

function offer(change: (offered: Map<string, Offered>) => void): void {
  useRegistry.setState((s) => {
    const offered = new Map(s.offered)
    change(offered)
    return { offered, actions: inOrder([...offered.values()]) }
  })
}

/** Whoever shows actions would show the same of these. */
const shown = (actions: readonly Action[]): string =>
  JSON.stringify(actions.map((a) => [a.id, a.label, a.key, a.strip, a.when?.() ?? true]))

let begun = 0

/**
 * Offers these actions for as long as the component is shown. `group` names their owner, `rank` how far in it stands. They do what was handed over last;
 * who shows them hears of it only where something that is shown of them is another.
 * Before the screen is painted: a key pressed on what is seen must meet the actions of what is seen.
 */
export function useActions(rank: Rank, group: string, actions: readonly Action[]): void {
  const [since] = useState(() => begun++)
  const latest = useRef<ReadonlyMap<string, Action>>(new Map())
  const looks = useRef<string>(undefined)
  useLayoutEffect(() => {
    latest.current = new Map(actions.map((a) => [a.id, a]))
    const now = shown(actions)
    if (looks.current === now) return
    looks.current = now
    const own = (id: string): Action | undefined => latest.current.get(id)
    const lasting = actions.map((a) => ({
      ...a,
      when: () => own(a.id)?.when?.() ?? own(a.id) !== undefined,
      run: () => own(a.id)?.run(),
    }))
    offer((offered) => offered.set(group, { rank, since, actions: lasting }))
  })
  useLayoutEffect(
    () => () => {
      looks.current = undefined
      offer((offered) => {
        if (offered.get(group)?.since === since) offered.delete(group)
      })
    },
    [group, since],
  )
}

/** All actions that may be done now, those of the stage before those of the frame. */
export const useAllActions = (): readonly Action[] => useRegistry((s) => s.actions)

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
