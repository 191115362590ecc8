import { readFileSync } from 'node:fs'
import { messageOf, type Problem } from '../core/base'
import { tell, type Told } from '../core/figures'
import { digestsOf, gather } from '../core/records'
import {
  fold,
  importsToRead,
  inMemory,
  openPackage,
  sidesIn,
  worksOf,
  type Entry,
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
}

/** A review from its package file, with its works and every number; or what is wrong with the package. */
export async function openReviewFile(file: string): Promise<OpenedReview | { problems: Problem[] }> {
  let bytes: Uint8Array
  try {
    bytes = new Uint8Array(readFileSync(file))
  } catch (error) {
    throw new UsageError(`${file} could not be read: ${messageOf(error)}`)
  }
  const opened = await openPackage(inMemory(bytes))
  if (!opened.ok) return { problems: opened.problems }
  const there = new Set(opened.value.digests)
  const bytesAt = async (digest: string): Promise<Uint8Array | undefined> =>
    there.has(digest) ? opened.value.blob(digest) : undefined
  const sides = await sidesIn(opened.value.entries, bytesAt)
  const { review } = fold(opened.value.entries, { side: (digest) => sides.get(digest) })
  const beside = await valuesBeside(review, bytesAt)
  const works = worksOf(
    review,
    (i) => gather(i, (digest) => beside.get(digest)),
    (digest) => beside.get(digest) as number[] | undefined,
  )
  return { review, entries: opened.value.entries, works, told: tell(review, works) }
}

/** What the works of a review are made from, by digest; what the package was handed on without is left out. */
async function valuesBeside(
  review: Review,
  bytesAt: (digest: string) => Promise<Uint8Array | undefined>,
): Promise<Map<string, unknown>> {
  const found = new Map<string, unknown>()
  const digests = [
    ...importsToRead(review).flatMap(digestsOf),
    ...[review.partition?.digest, review.partition?.toSettle].flatMap((d) => d ?? []),
  ]
  for (const digest of digests) {
    const bytes = await bytesAt(digest)
    if (bytes) found.set(digest, JSON.parse(new TextDecoder().decode(bytes)))
  }
  return found
}
