import type { Review } from '@/core/review'
import { useSession } from '@/store/provider'
import { useAsked } from '@/store/use-asked'
import { recordsDesk } from '@/workers'

/** The works that a kept filter or a group names now, by id. */
export function useNamedWorks(review: Review, of: string | undefined): readonly string[] | undefined {
  const works = useSession((s) => s.told.ruled.works)
  return useAsked(() => {
    const filter = review.filters?.find((f) => `filter:${f.id}` === of)
    const group = review.groups?.find((g) => `group:${g.id}` === of)
    if (!works.works.length || (!filter && !group)) return undefined
    return recordsDesk().idsOf({
      ...(filter?.words ? { words: filter.words } : {}),
      chosen: group ? { group: [group.id] } : (filter?.chosen ?? {}),
      leftOut: filter?.leftOut ?? {},
    })
  }, [of, review.filters, review.groups, works]).value
}

/** Filters and groups by their names, for choosing one. */
export const namedWorks = (review: Review): { value: string; label: string }[] => [
  ...(review.filters ?? []).map((f) => ({ value: `filter:${f.id}`, label: f.name })),
  ...(review.groups ?? []).map((g) => ({ value: `group:${g.id}`, label: `group: ${g.name}` })),
]
