import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import { blobsOf, type Entry, type Snapshot } from '@/core/review'

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
  blobs: { key: string; value: { digest: string; bytes: Uint8Array } }
  snapshots: { key: string; value: Snapshot & { reviewId: string } }
  pending: { key: string; value: Pending; indexes: { byReview: string } }
  settings: { key: string; value: { name: string; value: unknown } }
}
export type Database = IDBPDatabase<Schema>

export const DATABASE_VERSION = 1

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

const wholeReview = (reviewId: string): IDBKeyRange => IDBKeyRange.bound([reviewId, 0], [reviewId, Infinity])

/** All entries of a review from `seq` on, in order. */
export async function readEntries(db: Database, reviewId: string, seq = 0): Promise<Entry[]> {
  const rows = await db.getAll('entries', IDBKeyRange.bound([reviewId, seq], [reviewId, Infinity]))
  return rows.map(({ reviewId: _id, ...entry }) => entry)
}

/** Adds entries in one transaction: all or none. Fails if one of these numbers is taken. */
export async function addEntries(db: Database, reviewId: string, entries: readonly Entry[]): Promise<void> {
  const tx = db.transaction('entries', 'readwrite', { durability: 'strict' })
  await Promise.all([...entries.map((entry) => tx.store.add({ ...entry, reviewId })), tx.done])
}

/**
 * Stores a review that comes from outside: entries behind those that are here, what lies beside them, and its line on
 * the shelf, all in one transaction, so that a kill or a full disk leaves all of it or nothing.
 */
export async function storeReview(
  db: Database,
  reviewId: string,
  entries: readonly Entry[],
  blobs: ReadonlyMap<string, Uint8Array>,
  item: ShelfItem,
): Promise<void> {
  const tx = db.transaction(['entries', 'blobs', 'shelf'], 'readwrite', { durability: 'strict' })
  await Promise.all([
    ...[...blobs].map(([digest, bytes]) => tx.objectStore('blobs').put({ digest, bytes })),
    ...entries.map((entry) => tx.objectStore('entries').add({ ...entry, reviewId })),
    tx.objectStore('shelf').put(item),
    tx.done,
  ])
}

/** Removes a review for good, with all that lies beside its journal and that no other review needs. */
export async function removeReview(db: Database, reviewId: string): Promise<void> {
  const tx = db.transaction(['shelf', 'entries', 'snapshots', 'pending', 'blobs'], 'readwrite')
  const entries = tx.objectStore('entries')
  const alone = new Set<string>()
  for (const entry of await entries.getAll(wholeReview(reviewId)))
    for (const digest of blobsOf(entry)) alone.add(digest)
  await entries.delete(wholeReview(reviewId))
  if (alone.size)
    for (let at = await entries.openCursor(); at; at = await at.continue())
      for (const digest of blobsOf(at.value)) alone.delete(digest)
  const pending = tx.objectStore('pending')
  await Promise.all([
    tx.objectStore('shelf').delete(reviewId),
    tx.objectStore('snapshots').delete(reviewId),
    ...(await pending.index('byReview').getAllKeys(reviewId)).map((key) => pending.delete(key)),
    ...[...alone].map((digest) => tx.objectStore('blobs').delete(digest)),
    tx.done,
  ])
}

/** Was it the disk that was full? */
export const isFull = (error: unknown): boolean =>
  error instanceof DOMException && error.name === 'QuotaExceededError'
