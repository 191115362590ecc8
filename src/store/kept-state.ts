import { besideOf, wrongInSnapshot } from '@/core/review'
import { inSteps } from './breathe'
import type { Database } from './db'
import { readEntries } from './db'

/** A state that was kept to open a review faster, and what in it the journal does not say. */
export interface KeptState {
  /** The last entry that the state holds. */
  seq: number
  /** The parts of the review that are not what the journal says; none where the state is right. */
  wrong: string[]
}

/**
 * Reads the journal of a review from its rows and holds the state that is kept of it against what it says: a state could
 * have been changed on disk, digests and all, and nothing but the journal can tell. Undefined where none is kept.
 */
export async function checkKeptState(
  db: Database,
  reviewId: string,
  bytesAt: (digest: string) => Promise<Uint8Array | undefined>,
): Promise<KeptState | undefined> {
  const snapshot = await db.get('snapshots', reviewId)
  if (!snapshot) return undefined
  const entries = await readEntries(db, reviewId)
  const wrong = await inSteps(wrongInSnapshot(entries, snapshot, await besideOf(entries, bytesAt)), true)
  return { seq: snapshot.seq, wrong }
}
