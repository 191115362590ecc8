import { beginning } from '../doing'
import { nextEntry, type Command, type Entry, type Review } from '../review'

/**
 * The plan of a review as the first deeds of another one: question, concepts, limits, criteria, sources, known items, terms
 * and strategies, and nothing of what was run, found, ruled or written. For the next review, or for a class.
 */
export function planOnly(review: Review, begun: { id: string; title: string }): Command[] {
  const each = <T>(list: readonly T[], command: (value: T) => Command): Command[] => list.map(command)
  return [
    ...beginning(begun),
    ...(['broad', 'close'] as const).flatMap((pass): Command[] => [
      ...ruleOf(review, pass),
      ...(review.readingPlans?.[pass]
        ? [{ kind: 'reading.plan', payload: review.readingPlans[pass] } as const]
        : []),
    ]),
    ...(review.question ? [{ kind: 'question.set', payload: { text: review.question } } as const] : []),
    { kind: 'framework.set', payload: { framework: review.framework } },
    ...each(review.concepts, (payload) => ({ kind: 'concept.set', payload })),
    ...each(review.picks, (payload) => ({ kind: 'pick.add', payload })),
    ...each(review.alternatives, (payload) => ({ kind: 'alternatives.set', payload })),
    ...each(review.limits, (payload) => ({ kind: 'limit.set', payload })),
    ...each(review.criteria, (payload) => ({ kind: 'criterion.set', payload })),
    ...each(review.profiles, (payload) => ({ kind: 'profile.set', payload })),
    // Which release is searched, and when again, is settled when it is searched.
    ...each(review.sources, ({ release: _release, reminder: _reminder, ...payload }) => ({
      kind: 'source.set',
      payload,
    })),
    ...(review.knownItems.length
      ? [{ kind: 'known.add', payload: { items: review.knownItems } } as const]
      : []),
    ...each(review.gaps, (payload) => ({ kind: 'gap.set', payload })),
    ...each(review.vocabularies, (payload) => ({ kind: 'vocabulary.import', payload })),
    ...(review.terms.length ? [{ kind: 'terms.set', payload: { terms: review.terms } } as const] : []),
    ...Object.entries(review.strategies).flatMap(([sourceId, lines]): Command[] =>
      lines.length ? [{ kind: 'strategy.set', payload: { sourceId, lines, why: 'brought over' } }] : [],
    ),
  ]
}

/** The rule for differences of a pass, where it was chosen to be another than the one that a review begins with. */
const ruleOf = ({ selectionRules }: Review, pass: 'broad' | 'close'): Command[] => {
  const rule = selectionRules?.[pass]
  return rule && rule !== 'settle first' ? [{ kind: 'selection.rule', payload: { pass, rule } }] : []
}

/** The journal of that other review; `salt` gives each entry chance of its own. */
export function planEntries(
  review: Review,
  begun: { id: string; title: string },
  writing: { at: string; by: string },
  salt: () => string,
): Entry[] {
  const entries: Entry[] = []
  for (const command of planOnly(review, begun))
    entries.push(nextEntry(entries.at(-1), command, { ...writing, salt: salt() }))
  return entries
}
