import type { FacetCount, FacetTable } from './facet-index'
import { WORK_FACETS, type WorkFacet } from './list-columns'
import type { ChosenWorks } from './work-list'

/** So many years are shown, the latest. */
const YEARS = 10
/** Values that have an order of their own. */
const ORDERS: Partial<Record<WorkFacet, readonly string[]>> = {
  'found in': ['one source', 'two', 'three and more'],
  ruled: ['not yet', 'in', 'unsure', 'out', 'differently', 'to settle'],
}
export interface FacetShown {
  facet: WorkFacet
  values: (FacetCount & { state: 'in' | 'out' | undefined })[]
}

/**
 * The facets that a list is narrowed by, with the values of each that are worth showing: at least two to choose from, or one
 * that is chosen or left out. What is left out stays in sight, so that it can be taken in again, also where no work has it;
 * of years the latest and what is chosen; a group without works of this list can still be put works into.
 */
export function facetsShown(
  facets: Readonly<Record<WorkFacet, FacetTable>>,
  { chosen, leftOut }: { chosen: ChosenWorks; leftOut: ChosenWorks },
  groups: readonly string[],
): FacetShown[] {
  return WORK_FACETS.flatMap((facet): FacetShown[] => {
    const taken = chosen[facet] ?? []
    const left = leftOut[facet] ?? []
    const found = inOrder(facet, facets[facet].values).filter(
      (v, n) => facet !== 'year' || n < YEARS || taken.includes(v.value),
    )
    const also = [...(facet === 'group' ? groups : []), ...left].filter(
      (value, n, all) => all.indexOf(value) === n && !found.some((v) => v.value === value),
    )
    const values = [...found, ...also.map((value) => ({ value, count: 0 }))]
    const least = taken.length + left.length || facet === 'group' || facet === 'new' ? 1 : 2
    if (values.length < least) return []
    return [
      {
        facet,
        values: values.map((v) => ({
          ...v,
          state: taken.includes(v.value) ? 'in' : left.includes(v.value) ? 'out' : undefined,
        })),
      },
    ]
  })
}

/** Values that have an order of their own stand in it; years from the latest on; others by how many works they have. */
function inOrder(facet: WorkFacet, values: readonly FacetCount[]): FacetCount[] {
  const own = ORDERS[facet]
  if (own) return [...values].sort((a, b) => own.indexOf(a.value) - own.indexOf(b.value))
  return facet === 'year' ? [...values].sort((a, b) => (a.value < b.value ? 1 : -1)) : [...values]
}
