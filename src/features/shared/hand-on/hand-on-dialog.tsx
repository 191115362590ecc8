'use client'
import { lazy, Suspense } from 'react'
import { create } from 'zustand'
import type { Store } from '@/store/store'

/** What is chosen, checked and saved there is read when it is opened: it brings a calendar, and every page would wait for that. */
const HandOn = lazy(() => import('./hand-on-form'))

const useHandOn = create<{ open: boolean }>(() => ({ open: false }))

/** Opens the dialog in which a review is handed on; asks first what whoever worked on it here is called. */
export function handOn(store: Store): void {
  const { session, inName, deed, nameMe } = store
  const { entries, person } = session.getState()
  const open = (): void => deed(nameMe().then(() => useHandOn.setState({ open: true })))
  if (entries.some((e) => e.by === person)) inName(open, 'hand on')
  else open()
}

/** What is handed on, chosen, checked and saved. */
export function HandOnDialog() {
  const open = useHandOn((s) => s.open)
  return open ? (
    <Suspense fallback={null}>
      <HandOn close={() => useHandOn.setState({ open: false })} />
    </Suspense>
  ) : null
}
