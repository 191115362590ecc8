'use client'
import { createContext, useContext, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react'
import { useStore as useZustand } from 'zustand'
import { openDatabase } from '@/store/db'
import type { RecordsElsewhere } from '@/store/environment'
import { lacking } from './lacking'
import { createStore, type Session, type Store } from '@/store/store'

const StoreContext = createContext<Store | undefined>(undefined)

let ofPage: Store | undefined
/** The store of this page, made once from what the browser gives: a review that one leaves for the shelf is still at hand. */
const ofBrowser = (records: RecordsElsewhere | undefined): Store =>
  (ofPage ??= createStore({
    ...(records ? { records } : {}),
    db: openDatabase,
    now: () => new Date().toISOString(),
    newId: () => crypto.randomUUID(),
    newSalt: () => crypto.randomUUID().replaceAll('-', ''),
    ...(navigator.storage ? { storage: navigator.storage } : {}),
    locks: {
      request: (name, options, work) => navigator.locks.request(name, options, (lock) => work(lock !== null)),
      query: async () => ({
        held: (await navigator.locks.query()).held?.map(({ name }) => ({ ...(name ? { name } : {}) })) ?? [],
      }),
    },
    channel: (name) => new BroadcastChannel(name),
  }))

/** On the server, and in a browser that lacks what is needed, nothing is kept or asked for: a store that never opens. */
const nowhere = (): Store => {
  const never = (): Promise<never> => new Promise(() => undefined)
  return createStore({
    db: never,
    now: () => new Date(0).toISOString(),
    newId: () => 'server',
    newSalt: () => '0'.repeat(32),
    locks: { request: never, query: never },
    channel: () => ({ onmessage: null, postMessage: () => undefined, close: () => undefined }),
  })
}

/** Hands the store to everything below it; `records` says where records are read, and `store` is given only in tests. */
export function StoreProvider({
  store,
  records,
  children,
}: {
  store?: Store
  records?: RecordsElsewhere
  children: ReactNode
}) {
  const [own] = useState(
    () => store ?? (typeof window === 'undefined' || lacking() ? nowhere() : ofBrowser(records)),
  )
  // What was made on the server knows nothing of the browser: what this one lacks is said once the page is there.
  const lacks = useSyncExternalStore(
    () => () => undefined,
    () => (store ? undefined : lacking()),
    () => undefined,
  )
  useEffect(() => {
    const flush = (): void => own.flush()
    const ask = (event: BeforeUnloadEvent): void => {
      own.flush()
      if (own.unsaved()) event.preventDefault()
    }
    document.addEventListener('visibilitychange', flush)
    window.addEventListener('pagehide', flush)
    window.addEventListener('beforeunload', ask)
    return () => {
      document.removeEventListener('visibilitychange', flush)
      window.removeEventListener('pagehide', flush)
      window.removeEventListener('beforeunload', ask)
    }
  }, [own])
  if (lacks)
    return (
      <main className="shelf">
        <h1>Luvren cannot work here</h1>
        <p role="alert">{lacks}</p>
      </main>
    )
  return <StoreContext.Provider value={own}>{children}</StoreContext.Provider>
}

/** The store of this page. Throws outside of its provider, which is a programmer's mistake. */
export function useStore(): Store {
  const store = useContext(StoreContext)
  if (!store) throw new Error('useStore is called outside of StoreProvider')
  return store
}

/** A part of what the store shows; the component is drawn again when it changes. */
export const useSession = <T,>(part: (session: Session) => T): T => useZustand(useStore().session, part)
