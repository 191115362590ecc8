import { held } from '@/core/base'
import type { ReadReview } from '@/core/handed'
import { findRecord, type RecordFinder } from '@/core/records'
import { rulingsByWork } from '@/core/review'
import type { Judged } from './judge-desk'

/** Known items and works that were ruled in or out, as far as a stand-in holds them, whichever source they came from. */
export function judgedIn(
  { review, works }: Pick<ReadReview, 'review' | 'works'>,
  finder: RecordFinder,
): Judged {
  const numberOf = (item: {
    title: string
    year?: number | undefined
    doi?: string | undefined
  }): string[] => {
    const { title, year, doi } = item
    const asked = { title, ...(year === undefined ? {} : { year }), ...(doi === undefined ? {} : { doi }) }
    const found = findRecord(finder, asked)
    return found ? [String(finder.records[found.record]!.id)] : []
  }
  const { byWork } = rulingsByWork(works, review)
  const ruled = (verdict: 'in' | 'out'): string[] =>
    works.works.flatMap(({ id, record }) =>
      Object.values(held(byWork, id) ?? {}).some((r) => r.verdict === verdict) ? numberOf(record) : [],
    )
  return {
    known: review.knownItems.flatMap((k) => numberOf(k).map((recordId) => ({ id: k.id, recordId }))),
    in: ruled('in'),
    out: ruled('out'),
  }
}
