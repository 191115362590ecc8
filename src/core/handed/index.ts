import { ok, type Result } from '../base'
import { blobsOf, packReview, type Packed, type Readable } from '../review'
import { crateOf } from './crate'
import { handedFiles } from './files'
import type { HandedFrom } from './from'
import { leaveOut, type HandedBy, type LeftOut } from './left-out'
import { readReview, type ReadReview } from './read-review'

export { appendixContextOf, factContextOf, type HandedFrom } from './from'
export { figuresIn } from './figures'
export { handedFiles } from './files'
export { difference, relationWords, type Compared, type Difference } from './difference'
export { planEntries, planOnly } from './plan-only'
export { blindedJournal, blindedState, type Blinding } from './blinded'
export { leaveOut, leftOutWords, type HandedBy, type HandedOn, type LeftOut } from './left-out'
export { openReview, openWhole, type OpenedReview } from './open-review'
export { readReview, type ReadReview } from './read-review'
export type { HandedFile } from './index-page'
export { whatItIs, type HandedKind, type WhatItIs } from './what-it-is'

/** What is packed with a review for people, with the description of all of it. */
export async function readableOf(
  from: HandedFrom,
  blob: (digest: string) => Uint8Array | undefined,
): Promise<Readable> {
  const files = await handedFiles(from, blob)
  return {
    files: new Map([...files].map(([path, { bytes }]) => [path, bytes])),
    crate: (listed) => crateOf(from, files, listed),
  }
}

/** A review that is in memory as a package without what was chosen; what was left out is said inside. */
export async function packWithout(
  { entries, blobs, leftOut = [], unfinished = [] }: Packed,
  what: LeftOut,
  from: (read: ReadReview) => Promise<HandedFrom>,
  handedBy?: HandedBy,
): Promise<Result<Uint8Array>> {
  const handed = await leaveOut(entries, what, async (digest) => blobs.get(digest), handedBy)
  if (!handed.ok) return handed
  const { entries: kept, without, instead } = handed.value
  // A journal that begins anew reaches less than the one before.
  const reached = new Set(kept.flatMap(blobsOf))
  const all = new Map([...blobs, ...instead])
  const own = new Map([...all].filter(([d]) => reached.has(d) && !without.has(d)))
  const gone = [...blobs.keys()].filter((digest) => without.has(digest) && reached.has(digest))
  const packed = {
    entries: kept,
    blobs: own,
    leftOut: [...new Set([...leftOut.filter((d) => reached.has(d)), ...gone])].sort(),
    // What is being typed may tell what was read.
    unfinished: what.rulings ? [] : unfinished,
  }
  const read = await readReview(kept, async (digest) => own.get(digest))
  return ok(await packForPeople(await from(read), packed))
}

/** A review that is in memory as a package, with everything that people read. */
export async function packForPeople(from: HandedFrom, packed: Packed): Promise<Uint8Array> {
  const readable = await readableOf(from, (digest) => packed.blobs.get(digest))
  return packReview(packed, from.review.title, readable)
}
