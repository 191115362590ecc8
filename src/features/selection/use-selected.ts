import { held } from '@/core/base'
import { useMemo } from 'react'
import { saidOfWorks } from '@/core/figures'
import type { Review, Ruled, Work } from '@/core/review'
import {
  placeOf,
  readingCopy,
  rulesOf,
  worksAsked,
  type Placed,
  type ReadingCopy,
  type SaidOfWork,
} from '@/core/selection'
import { useSession } from '@/page/provider'

export interface Selected {
  review: Review
  ruled: Ruled
  works: readonly Work[]
  said: ReadonlyMap<string, SaidOfWork>
  /** Where a work is. */
  placed: (id: string) => Placed
  /** What is to be read, where this is a copy for that: its works, by pass, are all that is shown. */
  reading?: ReadingCopy & { of: Readonly<Record<'broad' | 'close', ReadonlySet<string>>> }
}

/** The works of the review with where each of them is. */
export function useSelected(): Selected {
  const told = useSession((s) => s.told)
  const { review, ruled } = told
  const { settlements, retrievals, related, from, asked } = review
  const rules = useMemo(() => rulesOf({ selectionRules: review.selectionRules }), [review.selectionRules])
  const said = useMemo(
    () => saidOfWorks(ruled.works, { settlements, retrievals, related }),
    [ruled.works, settlements, retrievals, related],
  )
  const copy = useMemo(() => {
    const reading = readingCopy({ from, asked })
    if (!reading) return undefined
    const of = (pass: 'broad' | 'close') => worksAsked(reading, pass, ruled.works.works)
    return { ...reading, of: { broad: of('broad'), close: of('close') } }
  }, [from, asked, ruled.works])
  // The same list while one rules: what is shown of it is not fetched again with each key.
  const works = useMemo(
    () =>
      copy
        ? ruled.works.works.filter(({ id }) => copy.of.broad.has(id) || copy.of.close.has(id))
        : ruled.works.works,
    [ruled.works, copy],
  )
  return useMemo(
    () => ({
      review,
      ruled,
      works,
      said,
      placed: (id) => placeOf(held(ruled.byWork, id), said.get(id), rules),
      ...(copy ? { reading: copy } : {}),
    }),
    [review, ruled, works, said, rules, copy],
  )
}
