import { held } from '../base'
import type { Review, Ruled } from '../review'
import { placeOf, rulesOf } from '../selection'
import { saidOfWorks } from './tally'

/** Works by id that are included, and those that went out on their full text with their main reason; in their order. */
export function judgedWorks(
  review: Review,
  ruled: Ruled,
): { included: string[]; excluded: { id: string; reason: string }[] } {
  const said = saidOfWorks(ruled.works, review)
  const rules = rulesOf(review)
  const included: string[] = []
  const excluded: { id: string; reason: string }[] = []
  for (const { id } of ruled.works.works) {
    const { place, reason = 'none' } = placeOf(held(ruled.byWork, id), said.get(id), rules)
    if (place === 'included') included.push(id)
    if (place === 'out') excluded.push({ id, reason })
  }
  return { included, excluded }
}
