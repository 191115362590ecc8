import { listed } from '../../base'
import type { LimitValue } from '../../query'
import type { ClaimOf } from '../claims'
import { because, concept, database, type Say } from './say'

/** The question, its concepts, which of them were required, the limits, and what a good search had to find. */
export const QUESTION = {
  Asked: () => 'The review asks: {question}',
  QuestionBroken: (_: unknown, say: Say) =>
    say(
      'We broke the question into {concepts}: {concept.names}.',
      'The question was broken into {concepts}: {concept.names}.',
    ),
  OneIsEnough: ({ conceptIds }: ClaimOf<'OneIsEnough'>) =>
    `Of ${listed(conceptIds.map(concept))}, one was enough.`,
  NotRequired: ({ conceptIds, reason }: ClaimOf<'NotRequired'>, say: Say) => {
    const names = listed(conceptIds.map(concept))
    const why = because(reason)
    return say(
      `We did not require ${names} in the searches${why}.`,
      `The searches did not require ${names}${why}.`,
    )
  },
  LimitPlanned: ({ limitId, limit, reason }: ClaimOf<'LimitPlanned'>, say: Say) => {
    const what = subject(limitId, limit)
    const why = because(reason)
    return say(`We plan to keep to ${what}${why}.`, `Only ${what} is to be considered${why}.`)
  },
  LimitApplied: ({ limitId, limit, reason, held: states }: ClaimOf<'LimitApplied'>, say: Say) => {
    const what = subject(limitId, limit)
    const why = because(reason)
    const held = states.filter(({ state }) => state === 'applied' || state === 'stood in')
    if (held.length === states.length) {
      const approximate = states.some(({ state }) => state === 'stood in')
        ? '; where a database does not mark it, something stood in for it'
        : ''
      return say(
        `We kept to ${what}${why}${approximate}.`,
        `The searches kept to ${what}${why}${approximate}.`,
      )
    }
    if (!held.length) return `A limit to ${what} was planned${why}; no search was limited so.`
    const names = listed(held.map((h) => database(h.sourceId)))
    return say(
      `In ${names} we kept to ${what}${why}; the other searches were not limited so.`,
      `In ${names} the searches kept to ${what}${why}; the others were not limited so.`,
    )
  },
  KnownNamed: ({ when, count }: ClaimOf<'KnownNamed'>, say: Say) => {
    const were = count === 1 ? 'was' : 'were'
    switch (when) {
      case 'before':
        return say(
          'Before searching we named {known.before} that a good search had to find.',
          `Before searching, {known.before} ${were} named that a good search had to find.`,
        )
      case 'any':
        return say('To test the searches, we named {known}.', `To test the searches, {known} ${were} named.`)
      case 'later':
        return `Another {known.later} ${were} added later.`
      case 'while':
        return say(
          'While searching we named {known} that a good search had to find.',
          `While searching, {known} ${were} named that a good search had to find.`,
        )
    }
  },
  KnownFound: ({ found, of }: ClaimOf<'KnownFound'>) => {
    const who =
      found === of
        ? of === 1
          ? 'It is'
          : 'All of them are'
        : `Of ${of === 1 ? 'it' : 'these'}, {known.found} ${found === 1 ? 'is' : 'are'}`
    return `${who} among the records brought in.`
  },
}

function subject(id: string, limit: LimitValue): string {
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
