import { ok, type Result } from '../base'
import { openPackage, type ByteSource, type Opened, type Packed } from '../review'
import { readReview, type ReadReview } from './read-review'

/** A review from its package, checked whole, with its works and every number. */
export interface OpenedReview extends ReadReview {
  /** The bytes under a digest; undefined where they were left out. */
  blob: (digest: string) => Promise<Uint8Array | undefined>
  /** All that was packed with the journal. */
  packed: () => Promise<Required<Omit<Packed, 'entries'>>>
}

/** All that was packed with the journal, in memory. */
async function packedOf({
  digests,
  leftOut,
  unfinished,
  blob,
}: Opened): Promise<Required<Omit<Packed, 'entries'>>> {
  const blobs = new Map<string, Uint8Array>()
  for (const digest of digests) blobs.set(digest, await blob(digest))
  return { blobs, leftOut, unfinished }
}

/** A package opened and checked, and nothing read of it: of a large review, half the memory. */
export async function openWhole(source: ByteSource): Promise<Result<Required<Packed>>> {
  const opened = await openPackage(source)
  if (!opened.ok) return opened
  return ok({ entries: opened.value.entries, ...(await packedOf(opened.value)) }, opened.problems)
}

/** Opens a package and reads its review; or says what is wrong with it. */
export async function openReview(source: ByteSource): Promise<Result<OpenedReview>> {
  const opened = await openPackage(source)
  if (!opened.ok) return opened
  const there = new Set(opened.value.digests)
  const blob = async (digest: string): Promise<Uint8Array | undefined> =>
    there.has(digest) ? opened.value.blob(digest) : undefined
  const read = await readReview(opened.value.entries, blob)
  return ok({ ...read, blob, packed: () => packedOf(opened.value) }, opened.problems)
}
