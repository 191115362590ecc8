import { importsToRead, packWorks, standingImports, worksOf, type Review } from '@/core/review'
import type { Blobs } from './blobs'
import type { Connection } from './connection'
import type { RecordsElsewhere, WorksHanded } from './environment'
import { checkKeptState } from './kept-state'

/** Reads records and makes works of them where the store is. */
export function recordsHere(blobs: Blobs, connection: Connection): RecordsElsewhere {
  const works = async (review: Review): Promise<WorksHanded> => {
    for (const i of importsToRead(review)) await blobs.recordsOf(i)
    for (const digest of [review.partition?.digest, review.partition?.toSettle])
      if (digest !== undefined) await blobs.readNumbers(digest)
    const found = worksOf(
      review,
      (i) => blobs.at(i),
      (digest) => blobs.numbersAt(digest),
    )
    return { works: packWorks(found, review.imports), lost: lostOf(review) }
  }
  const lostOf = (review: Review): number =>
    standingImports(review).reduce((n, i) => n + (blobs.at(i) ? 0 : i.count), 0)
  return {
    works,
    worksOf: works,
    check: async (review) => {
      await works(review)
      return lostOf(review)
    },
    wrongInKept: async (reviewId) =>
      checkKeptState(await connection.get(), reviewId, (digest) => blobs.bytes(digest)),
    rescued: async () => undefined,
    forget: async () => undefined,
  }
}
