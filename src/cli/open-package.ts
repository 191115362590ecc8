import { readFileSync } from 'node:fs'
import { messageOf, type Problem } from '../core/base'
import { readReview, type ReadReview } from '../core/handed'
import { inMemory, openPackage, type Packed } from '../core/review'
import { UsageError } from './arguments'

export interface OpenedReview extends ReadReview {
  /** The bytes under a digest; undefined where they were left out. */
  blob: (digest: string) => Promise<Uint8Array | undefined>
  /** All that was packed with the journal. */
  packed: () => Promise<Required<Omit<Packed, 'entries'>>>
}

/** A review from its package file, with its works and every number; or what is wrong with the package. */
export async function openReviewFile(file: string): Promise<OpenedReview | { problems: Problem[] }> {
  return openReviewBytes(readPackage(file))
}

/** The bytes of a package file; one that cannot be read is a wrong call. */
export function readPackage(file: string): Uint8Array {
  try {
    return new Uint8Array(readFileSync(file))
  } catch (error) {
    throw new UsageError(`${file} could not be read: ${messageOf(error)}`)
  }
}

/** The same of a package that is in memory. */
export async function openReviewBytes(bytes: Uint8Array): Promise<OpenedReview | { problems: Problem[] }> {
  const opened = await openPackage(inMemory(bytes))
  if (!opened.ok) return { problems: opened.problems }
  const there = new Set(opened.value.digests)
  const bytesAt = async (digest: string): Promise<Uint8Array | undefined> =>
    there.has(digest) ? opened.value.blob(digest) : undefined
  const { entries, digests, leftOut, unfinished } = opened.value
  const read = await readReview(entries, bytesAt)
  const packed: OpenedReview['packed'] = async () => {
    const blobs = new Map<string, Uint8Array>()
    for (const digest of digests) blobs.set(digest, await opened.value.blob(digest))
    return { blobs, leftOut, unfinished }
  }
  return { ...read, blob: bytesAt, packed }
}
