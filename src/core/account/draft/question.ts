import { listed } from '../../base'
import type { PlannedLimit, Review } from '../../review'
import { knownBefore, type FactContext } from '../facts'
import { limitApplied, searchedIn } from '../standing'
import { because, concept, named, type Say } from './say'

/** The question, its concepts, which of them were required, the limits, and what a good search had to find. */
export function question(context: FactContext, say: Say): string[] {
  const { review } = context
  if (!review.question.trim()) return []
  const first = ['The review asks: {question}']
  if (review.concepts.length)
    first.push(
      say(
        'We broke the question into {concepts}: {concept.names}.',
        'The question was broken into {concepts}: {concept.names}.',
      ),
    )
  const second = [
    ...alternatives(review),
    ...optional(review, say),
    ...review.limits.map((planned) => limitSentence(context, planned, say)),
    ...known(context, say),
  ]
  return [first.join(' '), second.join(' ')]
}

function alternatives(review: Review): string[] {
  return review.alternatives.flatMap(({ conceptIds }) => {
    const there = conceptIds.filter((id) => review.concepts.some((k) => k.id === id && k.essential))
    return there.length > 1 ? [`Of ${listed(there.map(concept))}, one was enough.`] : []
  })
}

/** Concepts that the searches did not ask for; the reason is the person's own, or absent. */
function optional(review: Review, say: Say): string[] {
  const all = review.concepts.filter((k) => !k.essential)
  const reasoned = all.filter((k) => k.note.trim())
  const bare = all.filter((k) => !k.note.trim())
  const sentence = (ids: readonly string[], reason: string): string => {
    const names = listed(ids.map(concept))
    return say(
      `We did not require ${names} in the searches${reason}.`,
      `The searches did not require ${names}${reason}.`,
    )
  }
  return [
    ...(bare.length
      ? [
          sentence(
            bare.map((k) => k.id),
            '',
          ),
        ]
      : []),
    ...reasoned.map((k) => sentence([k.id], because(k.note))),
  ]
}

/** A planned limit, as it really was applied: to what was run in every source, in some, or in none. */
function limitSentence(context: FactContext, planned: PlannedLimit, say: Say): string {
  const { review } = context
  const what = subject(planned)
  const reason = because(planned.reason)
  const searched = searchedIn(review)
  const states = searched.map((s) => ({ s, state: limitApplied(context, planned, s.id) }))
  if (!searched.length || states.some(({ state }) => state === 'open'))
    return say(`We plan to keep to ${what}${reason}.`, `Only ${what} is to be considered${reason}.`)
  const held = states.filter(({ state }) => state === 'applied' || state === 'stood in').map(({ s }) => s)
  if (held.length === searched.length) {
    const approximate = states.some(({ state }) => state === 'stood in')
      ? '; where a database does not mark it, something stood in for it'
      : ''
    return say(
      `We kept to ${what}${reason}${approximate}.`,
      `The searches kept to ${what}${reason}${approximate}.`,
    )
  }
  if (held.length) {
    const names = listed(held.map(named))
    return say(
      `In ${names} we kept to ${what}${reason}; the other searches were not limited so.`,
      `In ${names} the searches kept to ${what}${reason}; the others were not limited so.`,
    )
  }
  return `A limit to ${what} was planned${reason}; no search was limited so.`
}

function subject({ id, limit }: PlannedLimit): string {
  switch (limit.kind) {
    case 'years':
      return `work published {limit:${id}}`
    case 'language':
      return `work in {limit:${id}}`
    case 'peer reviewed':
      return `peer-reviewed work`
    case 'open access':
      return `open-access work`
    case 'document type':
      return `the document types {limit:${id}}`
    case 'place':
      return `work on {limit:${id}}`
    case 'population':
      return `work on the population {limit:${id}}`
    case 'other':
      return `what the limit “{limit:${id}}” lets through`
  }
}

/** Known items: those that were there before the first search, those that came later, and how many were found. */
function known(context: FactContext, say: Say): string[] {
  const { review, entries } = context
  const all = review.knownItems.length
  if (!all) return []
  const before = knownBefore(context).length
  const sentences: string[] = []
  if (entries && before && review.runs.length)
    sentences.push(
      say(
        'Before searching we named {known.before} that a good search had to find.',
        `Before searching, {known.before} ${before === 1 ? 'was' : 'were'} named that a good search had to find.`,
      ),
    )
  else if (!review.runs.length || !entries)
    sentences.push(
      say(
        'To test the searches, we named {known}.',
        `To test the searches, {known} ${all === 1 ? 'was' : 'were'} named.`,
      ),
    )
  if (entries && review.runs.length && all > before)
    sentences.push(
      before
        ? `Another {known.later} ${all - before === 1 ? 'was' : 'were'} added later.`
        : say(
            'While searching we named {known} that a good search had to find.',
            `While searching, {known} ${all === 1 ? 'was' : 'were'} named that a good search had to find.`,
          ),
    )
  if (review.imports.length) {
    const found = context.figures.knownFound
    sentences.push(
      `${found === all ? (all === 1 ? 'It is' : 'All of them are') : `Of ${all === 1 ? 'it' : 'these'}, {known.found} ${found === 1 ? 'is' : 'are'}`} among the records brought in.`,
    )
  }
  return sentences
}
