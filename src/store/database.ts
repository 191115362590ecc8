import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Entry, Snapshot } from '@/core/review'
import type { Stored } from './compress'

/** What the shelf shows of a review without opening it. */
export interface ShelfItem {
  id: string
  title: string
  question: string
  at: string
  /** Figures of the six stages, as the course shows them. */
  figures: number[]
  letters: string[]
  demo: boolean
  /** How many entries its journal had when this was written: it never has fewer. Absent in lines of before. */
  entries?: number
  /** What lies here of it is no whole line: it is written anew when the review is opened. Never stored. */
  damaged?: boolean
  /** It was put away then, and can be taken back; absent: it stands on the shelf. */
  putAway?: string
}

/** An edit that is still being typed; it becomes an entry when the typing rests or the tab is gone. */
export interface Pending {
  id: string
  reviewId: string
  tab: string
  /** When it was typed last. */
  at: string
  by: string
  command: unknown
  /** What the field held when the typing began; absent in edits of the first form. */
  held?: unknown
}

interface Schema extends DBSchema {
  shelf: { key: string; value: ShelfItem }
  entries: { key: [string, number]; value: Entry & { reviewId: string } }
  blobs: { key: string; value: Stored & { digest: string } }
  snapshots: { key: string; value: Snapshot & { reviewId: string } }
  pending: { key: string; value: Pending; indexes: { byReview: string } }
  settings: { key: string; value: { name: string; value: unknown } }
}
export type Database = IDBPDatabase<Schema>

/** In version 2, bytes may lie compressed, and entries may be of the second form. */
export const DATABASE_VERSION = 2

export interface DatabaseTrouble {
  /** Another tab holds an older version open. */
  onBlocked: () => void
  /** This tab must let go: a newer one wants to open, or (`deleted`) the data of this page are being removed. */
  onBlocking: (deleted: boolean) => void
  /** The browser has cut the connection off. */
  onTerminated: () => void
}

/** Opens the database of this browser. `name` differs only in tests. */
export function openDatabase(trouble: DatabaseTrouble, name = 'luvren'): Promise<Database> {
  return openDB<Schema>(name, DATABASE_VERSION, {
    upgrade(db, from) {
      if (from < 1) {
        db.createObjectStore('shelf', { keyPath: 'id' })
        db.createObjectStore('entries', { keyPath: ['reviewId', 'seq'] })
        db.createObjectStore('blobs', { keyPath: 'digest' })
        db.createObjectStore('snapshots', { keyPath: 'reviewId' })
        db.createObjectStore('pending', { keyPath: 'id' }).createIndex('byReview', 'reviewId')
        db.createObjectStore('settings', { keyPath: 'name' })
      }
    },
    blocked: trouble.onBlocked,
    blocking(_current, wanted, event) {
      trouble.onBlocking(wanted === null)
      ;(event.target as IDBDatabase).close()
    },
    terminated: trouble.onTerminated,
  })
}

/** Was it the disk that was full? */
export const isFull = (error: unknown): boolean =>
  error instanceof DOMException && error.name === 'QuotaExceededError'
