import { useEffect, useEffectEvent } from 'react'
import { create } from 'zustand'
import type { HandedKind } from '@/core/handed'

/** What was dropped or pasted somewhere and waits for the door that takes it. */
interface HandedIn {
  kind: HandedKind
  files: readonly [File, ...File[]]
}

/** Nothing of it is part of the record before somebody has said so at its door. */
export const useHandedIn = create<{ given: HandedIn | undefined }>(() => ({ given: undefined }))

/** How long what was handed in waits for its door to come to the screen, in milliseconds. */
const WAITS = 30_000

/**
 * Hands something in; whichever door for it is on the screen, or comes to be, takes it. Where none has come after a while,
 * it is let go, so that it does not open much later, and `letGo` is told.
 */
export function handIn(given: HandedIn, letGo: () => void): void {
  useHandedIn.setState({ given })
  setTimeout(() => {
    if (useHandedIn.getState().given !== given) return
    dropHandedIn()
    letGo()
  }, WAITS)
}

/** What waits for its door is let go. */
export const dropHandedIn = (): void => useHandedIn.setState({ given: undefined })

/** Opens what takes a kind, where it is not on the screen by itself, when something of it is handed in. */
export function useOpensFor(kind: HandedKind, open: () => void): void {
  const waits = useHandedIn((s) => s.given?.kind === kind)
  const opens = useEffectEvent(open)
  useEffect(() => {
    if (waits) opens()
  }, [waits])
}

/** Takes what is handed in of a kind, once, when this is on the screen. */
export function useDoor(kind: HandedKind, take: (file: File, further: readonly File[]) => void): void {
  const given = useHandedIn((s) => (s.given?.kind === kind ? s.given : undefined))
  const taken = useEffectEvent(take)
  useEffect(() => {
    if (!given || useHandedIn.getState().given !== given) return
    useHandedIn.setState({ given: undefined })
    const [first, ...further] = given.files
    taken(first, further)
  }, [given])
}
