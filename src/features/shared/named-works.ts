import { useMemo } from 'react'
import { worksInGroup, type Review } from '@/core/review'
import { useSession } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { deskReview, recordsDesk } from '@/workers'

/**
 * The works that a kept filter or a group names, by id. A group is found here, at once; a filter is asked of the desk, which is
 * first told how the review stands, for a filter may ask for rulings and groups. What is ruled since changes no list: whoever
 * rules by it would lose their place, and every key would send all rulings.
 */
export function useNamedWorks(review: Review, of: string | undefined): readonly string[] | undefined {
  const works = useSession((s) => s.told.ruled.works)
  const group = review.groups?.find((g) => `group:${g.id}` === of)
  const filter = review.filters?.find((f) => `filter:${f.id}` === of)
  const inGroup = useMemo(() => group && worksInGroup(group, works.works).map((w) => w.id), [group, works])
  const found = useAsked(() => {
    if (!works.works.length || !filter) return undefined
    const asked = {
      ...(filter.words ? { words: filter.words } : {}),
      chosen: filter.chosen ?? {},
      leftOut: filter.leftOut ?? {},
    }
    const desk = recordsDesk()
    return desk.open(deskReview(review)).then(() => desk.idsOf(asked))
    // eslint-disable-next-line react-hooks/exhaustive-deps -- see above
  }, [filter, review.groups, works]).value
  return group ? inGroup : filter ? found : undefined
}

/** Filters and groups by their names, for choosing one. */
export const namedWorks = (review: Review): { value: string; label: string }[] => [
  ...(review.filters ?? []).map((f) => ({ value: `filter:${f.id}`, label: f.name })),
  ...(review.groups ?? []).map((g) => ({ value: `group:${g.id}`, label: `group: ${g.name}` })),
]
