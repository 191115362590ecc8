import type { Problem } from '../core/base'
import { openReview, type OpenedReview } from '../core/handed'
import { inMemory, newerProblem } from '../core/review'
import { inputBytes } from './input'

export type { OpenedReview }

/**
 * A review from its package file, with its works and every number; or what is wrong with the package. One that is known here
 * only in part counts as wrong: what is told of it would be too little, and would not say so.
 */
export async function openReviewFile(file: string): Promise<OpenedReview | { problems: Problem[] }> {
  const opened = await openReviewBytes(inputBytes(file))
  const newer = 'entries' in opened ? newerProblem(opened.entries) : undefined
  return newer ? { problems: [newer] } : opened
}

/** The same of a package that is in memory, and as far as it is known here. */
export async function openReviewBytes(bytes: Uint8Array): Promise<OpenedReview | { problems: Problem[] }> {
  const opened = await openReview(inMemory(bytes))
  return opened.ok ? opened.value : { problems: [...opened.problems] }
}
