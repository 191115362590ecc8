import { keptFor } from '../../base'
import type { Concept } from '../../review'
import type { FactContext } from '../facts'
import { countedSearches, needsOneOf } from '../required'
import { saying } from './saying'

const PLAN = { theme: 'words', phase: 'planned', stage: 'question' } as const

/** The question, word for word. */
export const asked = saying<undefined>({
  family: 'question',
  place: { theme: 'where', phase: 'planned', stage: 'question' },
  core: true,
  finds: { when: { asked: ({ review }) => review.question.trim() !== '' }, found: () => undefined },
})

/** Nothing is told of concepts before there is a question that they divide. */
const conceptsOf = ({ review }: FactContext): readonly Concept[] =>
  review.question.trim() ? review.concepts : []

/** Into which concepts the question was divided. */
export const divided = saying<undefined>({
  family: 'concepts',
  place: PLAN,
  core: true,
  groups: (c) => (conceptsOf(c).length ? [''] : []),
  finds: { when: {}, found: () => undefined },
})

/** Concepts of which one is enough by the plan, joined by a plus. */
const alternatives = (c: FactContext): string[] =>
  c.review.alternatives.flatMap(({ conceptIds }) => {
    const there = conceptIds.filter((id) => conceptsOf(c).some((k) => k.id === id && k.essential))
    return there.length > 1 ? [there.join('+')] : []
  })

/** Of which concepts one is enough, which searches had it otherwise, or that it is a plan. */
export const oneEnough = saying<{
  conceptIds: string[]
  /** Every search that counts was run; else it is a plan still. */
  done: boolean
  /** Databases whose search had it otherwise. */
  butIn: string[]
}>({
  family: 'alternatives',
  groups: alternatives,
  place: PLAN,
  core: true,
  finds: {
    when: {},
    found: ({ review }, of) => {
      const conceptIds = of.split('+')
      const searches = countedSearches(review)
      const butIn = (searches ?? []).flatMap(({ sourceId, lines, line }) =>
        needsOneOf(lines, line, new Set(conceptIds)) &&
        conceptIds.every((id) => !needsOneOf(lines, line, new Set([id])))
          ? []
          : [sourceId],
      )
      return { conceptIds, done: searches !== undefined, butIn }
    },
  },
})

interface NotRequired {
  conceptIds: string[]
  reason: string
  /** `done`: every search that counts was run; else it is a plan still. */
  done: boolean
  /** Databases whose search asked for one of them all the same. */
  butIn: string[]
}

const notRequiredOf = ({ review }: FactContext, conceptIds: string[]): NotRequired => {
  const searches = countedSearches(review)
  const [one] = conceptIds
  return {
    conceptIds,
    reason: review.concepts.find((k) => k.id === one)?.note.trim() ?? '',
    done: searches !== undefined,
    butIn: (searches ?? []).flatMap(({ sourceId, lines, line }) =>
      conceptIds.some((id) => needsOneOf(lines, line, new Set([id]))) ? [sourceId] : [],
    ),
  }
}

/** Concepts that are not required: those of which no reason is given together, where it was done alike. */
const groupsNotRequired = keptFor((c: FactContext): string[] => {
  const groups = new Map<string, string[]>()
  for (const { id, note, essential } of conceptsOf(c)) {
    if (essential) continue
    const { done, butIn } = notRequiredOf(c, [id])
    const key = note.trim() ? id : JSON.stringify([done, butIn])
    groups.set(key, [...(groups.get(key) ?? []), id])
  }
  return [...groups.values()].map((ids) => ids.join('+'))
})

/** What searches did not require, with the reason; which of them required it all the same; or that it is a plan. */
export const notRequired = saying<NotRequired>({
  family: 'not required',
  groups: groupsNotRequired,
  place: PLAN,
  finds: { when: {}, found: (c, of) => notRequiredOf(c, of.split('+')) },
})
