import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import { blobsOf, commandOf, reachesBytes, SCHEMA_VERSION, type Entry, type Snapshot } from '@/core/review'
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

const wholeReview = (reviewId: string): IDBKeyRange => IDBKeyRange.bound([reviewId, 0], [reviewId, Infinity])

/** Where the copies of a review's entries lie among the snapshots; see `entry-pieces.ts`. */
export const piecesOf = (reviewId: string): IDBKeyRange =>
  IDBKeyRange.bound(`${reviewId}\n`, `${reviewId}\n\uffff`)

/** So many entries are read at once: more would keep the page from drawing. */
const AT_ONCE = 3000

/** All entries of a review from `seq` on, in order. */
export async function readEntries(db: Database, reviewId: string, seq = 0): Promise<Entry[]> {
  const entries: Entry[] = []
  const part = (from: number): Promise<(Entry & { reviewId?: string })[]> =>
    db.getAll('entries', IDBKeyRange.bound([reviewId, from], [reviewId, from + AT_ONCE - 1]))
  // The next part is asked for while this one is taken in; they are numbered without gaps.
  for (let from = seq, next = part(from); ; from += AT_ONCE) {
    const rows = await next
    if (rows.length === AT_ONCE) next = part(from + AT_ONCE)
    // Copied without it: an object from which something was deleted is slow ever after.
    for (const { reviewId: _of, ...entry } of rows) entries.push(entry)
    if (rows.length < AT_ONCE) return entries
  }
}

/** What lies beside entries and is written with them, as it is stored. */
export type Beside = ReadonlyMap<string, Stored>

/**
 * Adds entries and what they need beside them in one transaction: all or none. Fails if one of these numbers is taken.
 */
export async function addEntries(
  db: Database,
  reviewId: string,
  entries: readonly Entry[],
  beside: Beside = new Map(),
): Promise<void> {
  const tx = db.transaction(['entries', 'blobs'], 'readwrite', { durability: 'strict' })
  await Promise.all([
    ...[...beside].map(([digest, as]) => tx.objectStore('blobs').put({ digest, ...as })),
    ...entries.map((entry) => tx.objectStore('entries').add({ ...entry, reviewId })),
    tx.done,
  ])
}

/**
 * Stores a review that comes from outside: entries behind those that are here and its line on the shelf, in the one
 * last transaction, before which nothing of it exists. What lies beside it has been laid down before, under a lease.
 */
export async function storeReview(
  db: Database,
  reviewId: string,
  entries: readonly Entry[],
  item: ShelfItem,
): Promise<void> {
  const tx = db.transaction(['entries', 'shelf'], 'readwrite', { durability: 'strict' })
  await Promise.all([
    ...entries.map((entry) => tx.objectStore('entries').add({ ...entry, reviewId })),
    tx.objectStore('shelf').put(item),
    tx.done,
  ])
}

/** Removes a review for good. What lies beside its journal and no other review needs goes with the next sweep. */
export async function removeReview(db: Database, reviewId: string): Promise<void> {
  const tx = db.transaction(['shelf', 'entries', 'snapshots', 'pending'], 'readwrite')
  const pending = tx.objectStore('pending')
  await Promise.all([
    tx.objectStore('entries').delete(wholeReview(reviewId)),
    tx.objectStore('shelf').delete(reviewId),
    tx.objectStore('snapshots').delete(reviewId),
    tx.objectStore('snapshots').delete(piecesOf(reviewId)),
    ...(await pending.index('byReview').getAllKeys(reviewId)).map((key) => pending.delete(key)),
    tx.done,
  ])
}

/**
 * Removes what lies beside the journals and no entry of any review reaches, undone ones included, nor any edit that is
 * not finished. Gives how many were removed. Only for whoever holds the lease alone: what is being laid down is not
 * reached yet.
 */
export async function sweep(db: Database): Promise<number> {
  const reached = new Set<string>()
  for (let from: [string, number] | undefined; ;) {
    const rows = await db.getAll('entries', from && IDBKeyRange.lowerBound(from, true), AT_ONCE)
    for (const row of rows) for (const digest of reachedByAny(row)) reached.add(digest)
    const last = rows[rows.length - 1]
    if (!last || rows.length < AT_ONCE) break
    from = [last.reviewId, last.seq]
  }
  for (const { command } of await db.getAll('pending'))
    for (const digest of digestsIn(command)) reached.add(digest)
  const gone = (await db.getAllKeys('blobs')).filter((digest) => !reached.has(digest))
  if (!gone.length) return 0
  const tx = db.transaction('blobs', 'readwrite')
  await Promise.all([...gone.map((digest) => tx.store.delete(digest)), tx.done])
  return gone.length
}

function reachedByAny(entry: Entry): readonly string[] {
  const ofThisVersion = entry.v <= SCHEMA_VERSION
  if (ofThisVersion && !reachesBytes(entry.kind)) return []
  // What a newer version wrote, or what is not understood, keeps all that looks like a digest.
  return ofThisVersion && commandOf(entry).ok ? blobsOf(entry) : digestsIn(entry.payload)
}

/** Everything in a value that looks like a digest, at any depth. */
function digestsIn(value: unknown): string[] {
  if (typeof value === 'string') return /^[0-9a-f]{64}$/.test(value) ? [value] : []
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(digestsIn) : []
}

/** Was it the disk that was full? */
export const isFull = (error: unknown): boolean =>
  error instanceof DOMException && error.name === 'QuotaExceededError'
