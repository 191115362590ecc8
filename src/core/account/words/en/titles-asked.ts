import { leadsOut, type PassName } from '../../../review'
import { verbatim } from '../../document'
import type { FactContext } from '../../facts'
import type { FoundOf } from '../../sayings'
import type { AskedOf } from '../../sayings/asked-of'
import type { Words } from './words'

/** Questions with what leads out, and of how many works they were not these. */
export function questionList(
  { criterionIds, these, others, notNoted }: AskedOf,
  { review }: FactContext,
  pass: PassName,
): { end: string; each: boolean; one: boolean } {
  const list = review.criteria
    .filter((k) => criterionIds.includes(k.id))
    .map((k) => `*${verbatim(k.text.trim())}* (set aside if ${leadsOut(k) === 'no' ? 'not' : 'so'})`)
    .join('; ')
  const of = pass === 'close' ? ':close' : ''
  const rest = [
    ...(others
      ? [`{asked.others${of}} ${others === 1 ? 'was' : 'were'} ruled while they read otherwise`]
      : []),
    ...(notNoted ? [`of {asked.notNoted${of}} it is not noted what was asked`] : []),
  ].join(', and ')
  return {
    end: rest ? `${list}; ${rest}.` : `${list}.`,
    each: these > 0 && !others && !notNoted,
    one: criterionIds.length === 1,
  }
}

export const titlesAsked: Words<FoundOf<'titles-asked'>> = {
  says: (found, _say, context) => {
    const { end, each, one } = questionList(found, context, 'broad')
    if (each)
      return one
        ? [`One question was asked of each: ${end}`, `Asked of each was one question: ${end}`]
        : [`These questions were asked of each: ${end}`, `Each was asked: ${end}`]
    return one
      ? [`One question was asked: ${end}`, `The question was this one: ${end}`]
      : [`These questions were asked: ${end}`, `The questions were these: ${end}`]
  },
}
