import { held } from '../base'
import type { Review, Ruled } from '../review'
import type { Figures } from './figures'
import { saidOfWorks } from './tally'

/** Frozen: works on which somebody ruled and somebody gave a last word, whether or not they were seen differently. */
export function settledBefore4(review: Review, { works, byWork }: Ruled): Figures['settled'] {
  const said = saidOfWorks(works, review)
  const count = (pass: 'broad' | 'close'): number =>
    works.works.filter(
      ({ id }) =>
        said.get(id)?.settled?.[pass] !== undefined &&
        Object.values(held(byWork, id) ?? {}).some((r) => r.pass === pass),
    ).length
  return { broad: count('broad'), close: count('close') }
}
