import { blobsOf, commandOf, reachesBytes, SCHEMA_VERSION, type Entry } from '@/core/review'
import type { Stored } from './compress'
import type { Database, ShelfItem } from './database'

export * from './database'

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
