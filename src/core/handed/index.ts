import { packReview, type Packed, type Readable } from '../review'
import { crateOf } from './crate'
import { handedFiles } from './files'
import type { HandedFrom } from './from'

export { appendixContextOf, factContextOf, type HandedFrom } from './from'
export { figuresIn } from './figures'
export { handedFiles } from './files'
export { difference, relationWords, type Compared, type Difference } from './difference'
export { planOnly } from './plan-only'
export { leaveOut, leftOutWords, type HandedOn, type LeftOut } from './left-out'
export { openReview, type OpenedReview } from './open-review'
export { readReview, type ReadReview } from './read-review'
export type { HandedFile } from './index-page'

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

/** A review that is in memory as a package, with everything that people read. */
export async function packForPeople(from: HandedFrom, packed: Packed): Promise<Uint8Array> {
  const readable = await readableOf(from, (digest) => packed.blobs.get(digest))
  return packReview(packed, from.review.title, readable)
}
