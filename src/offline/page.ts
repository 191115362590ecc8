import { BUILD } from '@/ui/build'
import type { DataKept, Said } from './kept'

/** How far Luvren is kept in this browser. */
export interface Keeping {
  /** `none`: this browser keeps nothing, or there is nothing to keep while one develops. */
  app: 'none' | 'coming' | 'kept'
  data?: DataKept
  /** A newer Luvren lies beside this one. */
  newer: boolean
}

let keeping: Keeping = { app: 'none', newer: false }
let registration: ServiceWorkerRegistration | undefined
const listeners = new Set<() => void>()
const set = (change: Partial<Keeping>): void => {
  keeping = { ...keeping, ...change }
  listeners.forEach((tell) => tell())
}

export const keepingNow = (): Keeping => keeping
/** Tells whenever that changes; gives what ends it. */
export function onKeeping(tell: () => void): () => void {
  listeners.add(tell)
  return () => listeners.delete(tell)
}

/** Says something to a service worker, and hears what it answers. */
function ask<T>(worker: ServiceWorker, said: Said, hear: (answer: T) => void): void {
  const { port1, port2 } = new MessageChannel()
  port1.addEventListener('message', (event) => hear(event.data as T))
  port1.start()
  worker.postMessage(said, [port2])
}

/** Fetches the data of the invented databases too. */
export function keepData(): void {
  const worker = registration?.active
  if (worker) ask<DataKept>(worker, { say: 'keep data' }, (data) => set({ data }))
}

/** Lets the newer one take over, and shows this page by it; with other tabs open it does not, and says how many. */
export function takeOver(others: (tabs: number) => void): void {
  const worker = registration?.waiting
  if (!worker) return
  navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true })
  ask<number>(worker, { say: 'take over' }, others)
}

/** Somebody pays for what comes over their network: then the data wait until they are asked for. */
const isSparing = (): boolean =>
  (navigator as { connection?: { saveData?: boolean } }).connection?.saveData === true

let started = false
/** Once the page is here and nobody waits: keeps the app in the browser, and the data behind it. */
export function startKeeping(): void {
  if (started || !BUILD || !window.isSecureContext || !('serviceWorker' in navigator)) return
  started = true
  const begin = (): void => {
    set({ app: 'coming' })
    navigator.serviceWorker
      .register('/sw.js', { updateViaCache: 'none' })
      .then(follow)
      // Where it is not allowed Luvren works as ever, with a network.
      .catch(() => set({ app: 'none' }))
  }
  if (document.readyState === 'complete') setTimeout(begin, AFTER)
  else window.addEventListener('load', () => setTimeout(begin, AFTER), { once: true })
}
/** How long a page has for itself first, in milliseconds. */
const AFTER = 3000

function follow(of: ServiceWorkerRegistration): void {
  registration = of
  const look = (): void => {
    // Without one before it, what waits is no newer one.
    set({ newer: of.waiting !== null && of.active !== null })
    if (of.active?.state === 'activated' && keeping.app !== 'kept') {
      set({ app: 'kept' })
      if (!isSparing()) keepData()
    }
  }
  const watch = (worker: ServiceWorker | null): void => worker?.addEventListener('statechange', look)
  watch(of.installing)
  watch(of.waiting)
  watch(of.active)
  of.addEventListener('updatefound', () => watch(of.installing))
  look()
}
