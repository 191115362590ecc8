import type { Connection } from './connection'
import type { Database, DatabaseTrouble } from './db'

/** What tells other tabs of this browser that a journal has grown. */
export interface Channel {
  onmessage: ((event: MessageEvent) => void) | null
  postMessage: (message: unknown) => void
  close: () => void
}

export interface LockOptions {
  mode?: 'exclusive' | 'shared'
  /** Do not wait: where another holds it, `work` is told that it was not to be had. */
  ifAvailable?: boolean
}

export interface Locks {
  request: <T>(name: string, options: LockOptions, work: (had: boolean) => Promise<T>) => Promise<T>
  query: () => Promise<{ held?: { name?: string }[] }>
}

/** As much of the browser's storage manager as is asked. */
export interface StorageAsked {
  /** Asks that nothing be removed by itself; false where the browser refuses. */
  persist: () => Promise<boolean>
  persisted: () => Promise<boolean>
  /** In bytes. */
  estimate: () => Promise<{ usage?: number; quota?: number }>
}

/** All that the store takes from outside: so that a test can hand in its own, and nothing leaks between two stores. */
export interface Environment {
  /** Opens the database; asked again after a connection was lost. */
  db: (trouble: DatabaseTrouble) => Promise<Database>
  /** ISO 8601 with zone. */
  now: () => string
  newId: () => string
  /** 32 hexadecimal digits of chance, never the same twice. */
  newSalt: () => string
  /** What the browser says of its storage; absent where it says nothing. */
  storage?: StorageAsked
  locks: Locks
  channel: (name: string) => Channel
}

/** The same with what a store makes of it: one connection, and a name for this tab. */
export interface Ground extends Omit<Environment, 'db'> {
  connection: Connection
  tab: string
}
