import { useEffect } from 'react'
import { termAsks } from '@/core/figures'
import { useSession } from '@/store/provider'
import { useAsked } from '@/store/use-asked'
import { keepYields } from '@/store/yields'
import { recordsDesk } from '@/workers'

/** Keeps what each term yields for the account, as long as a stage that tells of it is on the screen. */
export function useYieldsKept(wanted: boolean): void {
  const review = useSession((s) => s.folded.review)
  const works = useSession((s) => s.told.ruled.works)
  const { terms, sources } = review
  const { value } = useAsked(
    () =>
      wanted && works.works.length
        ? recordsDesk()
            .yields(termAsks(review))
            .then((found) => new Map(Object.entries(found)))
        : undefined,
    // eslint-disable-next-line react-hooks/exhaustive-deps -- nothing else of the review changes what terms yield
    [wanted, works, terms, sources],
    { keep: true },
  )
  // Elsewhere the record may change without them: what is told there stands in the order of the plan.
  useEffect(() => {
    keepYields(value)
    return () => keepYields(undefined)
  }, [value])
}
