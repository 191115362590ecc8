import { readFileSync } from 'node:fs'
import { messageOf, type Problem } from '../core/base'
import { openReview, type OpenedReview } from '../core/handed'
import { inMemory } from '../core/review'
import { UsageError } from './arguments'

export type { OpenedReview }

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
  const opened = await openReview(inMemory(bytes))
  return opened.ok ? opened.value : { problems: [...opened.problems] }
}
