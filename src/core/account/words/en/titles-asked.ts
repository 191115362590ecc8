import { leadsOut } from '../../../review'
import { verbatim } from '../../document'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const titlesAsked: Words<FoundOf<'titles-asked'>> = {
  says: ({ criterionIds, these, others, notNoted }, _say, { review }) => {
    const list = review.criteria
      .filter((k) => criterionIds.includes(k.id))
      .map((k) => `*${verbatim(k.text.trim())}* (set aside if ${leadsOut(k) === 'no' ? 'not' : 'so'})`)
      .join('; ')
    const each = these > 0 && !others && !notNoted
    const rest = [
      ...(others ? [`{asked.others} ${others === 1 ? 'was' : 'were'} ruled while they read otherwise`] : []),
      ...(notNoted ? [`of {asked.notNoted} it is not noted what was asked`] : []),
    ].join(', and ')
    const end = rest ? `${list}; ${rest}.` : `${list}.`
    const one = criterionIds.length === 1
    if (each)
      return one
        ? [`One question was asked of each: ${end}`, `Asked of each was one question: ${end}`]
        : [`These questions were asked of each: ${end}`, `Each was asked: ${end}`]
    return one
      ? [`One question was asked: ${end}`, `The question was this one: ${end}`]
      : [`These questions were asked: ${end}`, `The questions were these: ${end}`]
  },
}
