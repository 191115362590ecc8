import { verbatim } from '../document'
import type { FactContext } from '../facts'
import type { ClaimOf } from '../claims'
import type { Say } from './say'

/** What was read in title and abstract and how it was ruled. */
export const SELECTION = {
  Read: ({ left, criterionIds }: ClaimOf<'Read'>, say: Say, { review }: FactContext) => {
    const asked = review.criteria.filter((k) => criterionIds.includes(k.id))
    const questions = asked.map((k) => `*${verbatim(k.text)}*`).join(' ')
    const against = asked.length
      ? ` ${asked.length === 1 ? 'One question was' : 'These questions were'} asked of each: ${questions}`
      : ''
    const kept = '{broad.in} for full text, {broad.out} set aside and {broad.unsure} left open'
    return left
      ? `${say('So far we have read titles and abstracts of {broad.ruled} of {works}', 'So far titles and abstracts of {broad.ruled} of {works} have been read')}; {readers} ruled: ${kept}, with {broad.left} still to be read.${against}`
      : `${say('We read titles and abstracts of {works}', 'Titles and abstracts of {works} were read')}; {readers} ruled: ${kept}.${against}`
  },
}
