import type { Connection } from './connection'
import type { Database, DatabaseTrouble } from './db'

/** What tells other tabs of this browser that a journal has grown. */
export interface Channel {
  onmessage: ((event: MessageEvent) => void) | null
  postMessage: (message: unknown) => void
  close: () => void
}

export interface Locks {
  request: (name: string, work: () => Promise<unknown>) => Promise<unknown>
  query: () => Promise<{ held?: { name?: string }[] }>
}

/** All that the store takes from outside: so that a test can hand in its own, and nothing leaks between two stores. */
export interface Environment {
  /** Opens the database; asked again after a connection was lost. */
  db: (trouble: DatabaseTrouble) => Promise<Database>
  /** ISO 8601 with zone. */
  now: () => string
  newId: () => string
  locks: Locks
  channel: (name: string) => Channel
}

/** The same with what a store makes of it: one connection, and a name for this tab. */
export interface Ground extends Omit<Environment, 'db'> {
  connection: Connection
  tab: string
}
