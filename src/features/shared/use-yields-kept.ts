import { useLayoutEffect } from 'react'
import { termAsks } from '@/core/figures'
import { useSession } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { keepYields } from '@/page/yields'
import { recordsDesk } from '@/workers'

/** Keeps what each term yields for the account, as long as a stage that tells of it is on the screen. */
export function useYieldsKept(wanted: boolean): void {
  const review = useSession((s) => s.folded.review)
  const works = useSession((s) => s.told.ruled.works)
  const { terms, sources } = review
  const { value, waiting } = useAsked(
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
  // Before anything is drawn: nobody presses what is there for a moment only.
  const counting = wanted && waiting && works.works.length > 0
  useLayoutEffect(() => {
    keepYields({ yields: value, counting })
    return () => keepYields()
  }, [value, counting])
}
