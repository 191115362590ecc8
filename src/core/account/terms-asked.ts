import { keptFor } from '../base'
import { termsInUse, type Term } from '../review'
import { parse, walk } from '../query'
import { planAgainstRun, termExpression } from '../strategy'
import { unitOf } from './standing'
import type { FactContext } from './facts/fact'
import { currentRuns } from './runs'

/**
 * Terms in use that stand in a line that was run as it stands, in a source that they are meant for: a text word in any, a
 * heading in its own. Where a source has no sign for any ending, a word with one stands there in its forms.
 */
export const termsAsked = keptFor(({ review, source }: FactContext): Term[] => {
  const ran = Object.fromEntries(
    review.sources.flatMap(({ id }) => {
      const runs = currentRuns(review, id)
      const lines = (review.strategies[id] ?? []).filter((l) => runs.has(l.id))
      return lines.length ? [[id, lines] as const] : []
    }),
  )
  const { unused } = planAgainstRun(termsInUse(review), ran, (id) => {
    const profile = source(id)?.profile
    return {
      hasVocabulary: true,
      truncates: !profile || profile.truncation?.any !== undefined,
    }
  })
  const without = new Map<string, Set<string>>()
  for (const { term, sourceId } of unused)
    without.set(term.id, (without.get(term.id) ?? new Set()).add(sourceId))
  const said = new Set(
    Object.values(ran)
      .flat()
      .flatMap((l) => {
        const { tree } = parse(l.text)
        return tree ? [...walk(tree)].map(unitOf) : []
      }),
  )
  return termsInUse(review).filter((t) => {
    const own = termExpression(t)
    // What stands within a nearness stands there too.
    if (own && said.has(unitOf(own)) && (own.kind !== 'heading' || t.sourceId in ran)) return true
    const everywhere = t.kind === 'text' || t.kind === 'named'
    return Object.keys(ran).some((id) => (everywhere || t.sourceId === id) && !without.get(t.id)?.has(id))
  })
})
