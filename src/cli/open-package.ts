import type { Problem } from '../core/base'
import { openReview, type OpenedReview } from '../core/handed'
import { inMemory } from '../core/review'
import { inputBytes } from './input'

export type { OpenedReview }

/** A review from its package file, with its works and every number; or what is wrong with the package. */
export async function openReviewFile(file: string): Promise<OpenedReview | { problems: Problem[] }> {
  return openReviewBytes(inputBytes(file))
}

/** The same of a package that is in memory. */
export async function openReviewBytes(bytes: Uint8Array): Promise<OpenedReview | { problems: Problem[] }> {
  const opened = await openReview(inMemory(bytes))
  return opened.ok ? opened.value : { problems: [...opened.problems] }
}
