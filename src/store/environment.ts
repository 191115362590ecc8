import type { PackedWorks, Review } from '@/core/review'
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

/** Works that were made elsewhere, as they are handed over, and how many of the review's records are not in this browser. */
export interface WorksHanded {
  works: PackedWorks
  lost: number
}

/** Where records are read and works are made of them, apart from the page. */
export interface RecordsElsewhere {
  /** The works of the open review as it is now. */
  works: (review: Review) => Promise<WorksHanded>
  /** The works of a review that is not opened for it. */
  worksOf: (review: Review) => Promise<WorksHanded>
  /** Reads all records again and gives how many are missing or damaged. */
  check: (review: Review) => Promise<number>
  /** The state that is kept of a review, held against its journal; undefined where none is kept. */
  wrongInKept: (reviewId: string) => Promise<{ seq: number; wrong: string[] } | undefined>
  /** What lies under a digest, made again from what is in memory there. */
  rescued: (digest: string) => Promise<Uint8Array | undefined>
  /** Lets go of what was made of a review's records, where the review is removed for good. */
  forget: (reviewId: string) => Promise<void>
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
  /** Absent: records are read and works are made where the store is. */
  records?: RecordsElsewhere
}

/** The same with what a store makes of it: one connection, and a name for this tab. */
export interface Ground extends Omit<Environment, 'db' | 'records'> {
  records: RecordsElsewhere
  connection: Connection
  tab: string
}
