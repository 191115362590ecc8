import {
  personId,
  type Command,
  type CriteriaVersion,
  type OrderChosen,
  type PassName,
  type ReadingPlan,
  type SelectionRule,
} from '../../review'
import { chanceOrder } from '../../selection'
import type { Doing } from '../doing'

/** What becomes of works that are ruled differently in a pass. */
export const chooseRule: Doing<SelectionRule> = ({ review }, { pass, rule }) =>
  (review.selectionRules?.[pass] ?? 'any yes goes on') === rule
    ? []
    : [{ kind: 'selection.rule', payload: { pass, rule } }]

/**
 * The first deeds of a review. One that begins now settles first: a work that is ruled differently is neither in nor out until
 * somebody says.
 */
export const beginning = (begun: { id: string; title: string }): Command[] => [
  { kind: 'review.create', payload: begun },
  ...PASSES.map((pass): Command => ({ kind: 'selection.rule', payload: { pass, rule: 'settle first' } })),
]
const PASSES = ['broad', 'close'] as const

/** How many people are to read each work of a pass. */
export const planReading: Doing<ReadingPlan> = ({ review }, plan) => {
  const before = review.readingPlans?.[plan.pass]
  if (before?.way === plan.way && before.share === plan.share) return []
  return [{ kind: 'reading.plan', payload: plan }]
}

/** The order in which works are read from now on; chance draws anew each time. */
export const chooseOrder: Doing<{ pass: PassName; order: OrderChosen['order'] }> = (
  { now, newId },
  { pass, order },
) => [
  {
    kind: 'order.choose',
    payload: { pass, order, at: now, ...(order === 'chance' ? { seed: newId().slice(0, 8) } : {}) },
  },
]

/** Gives the criteria as they stand a name: what was ruled by other words, and hung on them, is asked again. */
export const nameCriteria: Doing<Pick<CriteriaVersion, 'name'>> = ({ now, newId }, { name }) =>
  name.trim() ? [{ kind: 'criteria.version', payload: { id: newId(), name: name.trim(), at: now } }] : []

/** Draws so many works by chance into a group of their own, to be read together; `group` is its id. */
export const drawSample: Doing<{ from: readonly { id: string }[]; count: number; group: string }> = (
  { newId },
  { from, count, group },
) => {
  const most = Math.min(count, from.length)
  if (most < 1) return []
  const drawn = chanceOrder(
    from.map((w) => w.id),
    newId(),
  ).slice(0, most)
  return [
    { kind: 'group.set', payload: { id: group, name: `sample of ${most}` } },
    { kind: 'group.put', payload: { id: group, records: drawn.map((n) => from[n]!.id), in: true } },
  ]
}

/** Binds works as reports of one study; a study that is there already is bound anew. */
export const bindStudy: Doing<{ id: string | undefined; name: string; ids: readonly string[] }> = (
  { newId },
  { id, name, ids },
) =>
  name.trim() && ids.length > 1
    ? [{ kind: 'study.bind', payload: { id: id ?? newId(), name: name.trim(), records: [...ids] } }]
    : []

/** Parts a study: its works count one by one again. */
export const partStudy: Doing<{ id: string }> = (_at, { id }) => [{ kind: 'study.part', payload: { id } }]

/** Two ids are one person, who worked in two browsers: what both said is told as said by one. */
export const sayOnePerson: Doing<{ a: string; b: string; why: string }> = ({ review }, { a, b, why }) =>
  personId(review, a) === personId(review, b)
    ? []
    : [{ kind: 'person.same', payload: { a, b, why: why.trim() } }]

/** Asks another person to read works in a pass, by the criteria as they are named now; of no works nobody is asked. */
export const askToRead: Doing<{
  id: string
  pass: PassName
  records: readonly string[]
  called: string
  blinded: boolean
  until?: string | undefined
}> = ({ review, now, person }, { id, pass, records, called, blinded, until }) => {
  if (!records.length) return []
  const version = review.criteriaVersions?.at(-1)?.id
  return [
    {
      kind: 'reading.ask',
      payload: {
        id,
        pass,
        called,
        records: [...records],
        at: now,
        by: person,
        ...(version === undefined ? {} : { version }),
        blinded,
        ...(until === undefined ? {} : { until }),
      },
    },
  ]
}
