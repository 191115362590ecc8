import { ok, type Result } from '../base'
import { openPackage, type ByteSource, type Packed } from '../review'
import { readReview, type ReadReview } from './read-review'

/** A review from its package, checked whole, with its works and every number. */
export interface OpenedReview extends ReadReview {
  /** The bytes under a digest; undefined where they were left out. */
  blob: (digest: string) => Promise<Uint8Array | undefined>
  /** All that was packed with the journal. */
  packed: () => Promise<Required<Omit<Packed, 'entries'>>>
}

/** Opens a package and reads its review; or says what is wrong with it. */
export async function openReview(source: ByteSource): Promise<Result<OpenedReview>> {
  const opened = await openPackage(source)
  if (!opened.ok) return opened
  const { entries, digests, leftOut, unfinished } = opened.value
  const there = new Set(digests)
  const blob = async (digest: string): Promise<Uint8Array | undefined> =>
    there.has(digest) ? opened.value.blob(digest) : undefined
  const packed: OpenedReview['packed'] = async () => {
    const blobs = new Map<string, Uint8Array>()
    for (const digest of digests) blobs.set(digest, await opened.value.blob(digest))
    return { blobs, leftOut, unfinished }
  }
  return ok({ ...(await readReview(entries, blob)), blob, packed }, opened.problems)
}
