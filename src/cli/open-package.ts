import { readFileSync } from 'node:fs'
import { messageOf, type Problem } from '../core/base'
import { tell, type FiguresBeside, type Told } from '../core/figures'
import { gather } from '../core/records'
import {
  blobsOf,
  fold,
  inMemory,
  openPackage,
  sidesIn,
  worksOf,
  type ClassesAt,
  type Entry,
  type Packed,
  type Review,
  type WorkRead,
  type Works,
} from '../core/review'
import { UsageError } from './arguments'

export interface OpenedReview {
  review: Review
  entries: readonly Entry[]
  works: Works<WorkRead>
  told: Told
  /** What lies beside the journal, as reading it needs. */
  beside: FiguresBeside & { classesAt: ClassesAt }
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
  const sides = await sidesIn(opened.value.entries, bytesAt)
  const { entries, digests, leftOut, unfinished } = opened.value
  const { review } = fold(entries, { side: (digest) => sides.get(digest) })
  const values = await valuesBeside(entries, bytesAt)
  const beside: OpenedReview['beside'] = {
    side: (digest) => sides.get(digest),
    recordsOf: (i) => gather(i, (digest) => values.get(digest)),
    classesAt: (digest) => values.get(digest) as number[] | undefined,
  }
  const works = worksOf(review, beside.recordsOf, beside.classesAt)
  const packed: OpenedReview['packed'] = async () => {
    const blobs = new Map<string, Uint8Array>()
    for (const digest of digests) blobs.set(digest, await opened.value.blob(digest))
    return { blobs, leftOut, unfinished }
  }
  return { review, entries, works, told: tell(review, works), beside, blob: bytesAt, packed }
}

/** Records and partitions of all entries, by digest; what the package was handed on without is left out. */
async function valuesBeside(
  entries: readonly Entry[],
  bytesAt: (digest: string) => Promise<Uint8Array | undefined>,
): Promise<Map<string, unknown>> {
  const found = new Map<string, unknown>()
  for (const entry of entries) {
    if (!['records.import', 'record.mend', 'partition.set'].includes(entry.kind)) continue
    for (const digest of blobsOf(entry)) {
      const bytes = found.has(digest) ? undefined : await bytesAt(digest)
      if (bytes) found.set(digest, JSON.parse(new TextDecoder().decode(bytes)))
    }
  }
  return found
}
