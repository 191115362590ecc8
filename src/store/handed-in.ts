import { useEffect, useRef } from 'react'
import { create } from 'zustand'
import type { HandedKind } from '@/core/handed'

/** What was dropped or pasted somewhere and waits for the door that takes it. */
interface HandedIn {
  kind: HandedKind
  files: readonly [File, ...File[]]
}

/** Nothing of it is part of the record before somebody has said so at its door. */
export const useHandedIn = create<{ given: HandedIn | undefined }>(() => ({ given: undefined }))

/** Hands something in; whichever door for it is on the screen, or comes to be, takes it. */
export const handIn = (given: HandedIn): void => useHandedIn.setState({ given })

/** Opens what takes a kind, where it is not on the screen by itself, when something of it is handed in. */
export function useOpensFor(kind: HandedKind, open: () => void): void {
  const waits = useHandedIn((s) => s.given?.kind === kind)
  const latest = useRef(open)
  useEffect(() => {
    latest.current = open
  })
  useEffect(() => {
    if (waits) latest.current()
  }, [waits])
}

/** Takes what is handed in of a kind, once, when this is on the screen. */
export function useDoor(kind: HandedKind, take: (file: File, further: readonly File[]) => void): void {
  const given = useHandedIn((s) => (s.given?.kind === kind ? s.given : undefined))
  const latest = useRef(take)
  useEffect(() => {
    latest.current = take
  })
  useEffect(() => {
    if (!given || useHandedIn.getState().given !== given) return
    useHandedIn.setState({ given: undefined })
    const [first, ...further] = given.files
    latest.current(first, further)
  }, [given])
}
