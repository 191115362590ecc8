import { knownBefore, type FactContext } from '../facts'
import { limitApplied, searchedIn } from '../standing'
import type { Claim } from './claim'

/** The question, its concepts, which of them were required, the limits, and what a good search had to find. */
export function question(context: FactContext): Claim[] {
  const { review } = context
  if (!review.question.trim()) return []
  const broken: Claim[] = review.concepts.length
    ? [{ says: 'QuestionBroken', on: review.concepts.map((k) => `concept:${k.id}`) }]
    : []
  return [
    { says: 'Asked', on: ['question'] },
    ...broken,
    ...alternatives(context),
    ...optional(context),
    ...limits(context),
    ...known(context),
  ]
}

const alternatives = ({ review }: FactContext): Claim[] =>
  review.alternatives.flatMap(({ conceptIds }): Claim[] => {
    const there = conceptIds.filter((id) => review.concepts.some((k) => k.id === id && k.essential))
    return there.length > 1
      ? [{ says: 'OneIsEnough', on: there.map((id) => `concept:${id}`), conceptIds: there }]
      : []
  })

/** Concepts that the searches did not ask for; those without a reason together. */
function optional({ review }: FactContext): Claim[] {
  const all = review.concepts.filter((k) => !k.essential)
  const claim = (ids: string[], reason: string): Claim => ({
    says: 'NotRequired',
    on: ids.map((id) => `concept:${id}`),
    conceptIds: ids,
    reason,
  })
  const bare = all.filter((k) => !k.note.trim()).map((k) => k.id)
  return [
    ...(bare.length ? [claim(bare, '')] : []),
    ...all.filter((k) => k.note.trim()).map((k) => claim([k.id], k.note)),
  ]
}

/** A planned limit, as it really was applied: to what was run in every source, in some, or in none. */
function limits(context: FactContext): Claim[] {
  const { review } = context
  const searched = searchedIn(review)
  return review.limits.map((planned): Claim => {
    const { id: limitId, limit, reason } = planned
    const on = [`limit:${limitId}`]
    const held = searched.map((s) => ({ sourceId: s.id, state: limitApplied(context, planned, s.id) }))
    return !searched.length || held.some(({ state }) => state === 'open')
      ? { says: 'LimitPlanned', on, limitId, limit, reason }
      : {
          says: 'LimitApplied',
          on: [...on, ...held.map((h) => `source:${h.sourceId}`)],
          limitId,
          limit,
          reason,
          held,
        }
  })
}

/** Known items: those that were there before the first search, those that came later, and how many were found. */
function known(context: FactContext): Claim[] {
  const { review, entries } = context
  const all = review.knownItems.length
  if (!all) return []
  const before = knownBefore(context).length
  const on = ['plan']
  const claims: Claim[] = []
  const named = (when: 'before' | 'any' | 'while' | 'later', count: number): void => {
    claims.push({ says: 'KnownNamed', on, when, count })
  }
  if (entries && before && review.runs.length) named('before', before)
  else if (!review.runs.length || !entries) named('any', all)
  if (entries && review.runs.length && all > before)
    if (before) named('later', all - before)
    else named('while', all)
  const brought = Object.keys(context.figures.brought)
  if (brought.length)
    claims.push({
      says: 'KnownFound',
      on: brought.map((id) => `import:${id}`),
      found: context.figures.knownFound,
      outside: context.figures.knownOutside,
      of: all,
    })
  return claims
}
