import { verbatim } from '../document'
import type { FactContext } from '../facts'
import type { Say } from './say'

/** What was read in title and abstract and how it was ruled; what nobody has ruled was not read. */
export function selection({ review, figures }: FactContext, say: Say): string[] {
  const counts = figures.broad
  const ruled = counts.total - counts.left
  if (!ruled) return []
  const asked = review.criteria.filter((k) => k.pass === 'broad' && k.text.trim())
  const questions = asked.map((k) => `*${verbatim(k.text)}*`).join(' ')
  const against = asked.length
    ? ` ${asked.length === 1 ? 'One question was' : 'These questions were'} asked of each: ${questions}`
    : ''
  const kept = '{broad.in} for full text, {broad.out} set aside and {broad.unsure} left open'
  return [
    counts.left
      ? `${say('So far we have read titles and abstracts of {broad.ruled} of {works}', 'So far titles and abstracts of {broad.ruled} of {works} have been read')}; {readers} ruled: ${kept}, with {broad.left} still to be read.${against}`
      : `${say('We read titles and abstracts of {works}', 'Titles and abstracts of {works} were read')}; {readers} ruled: ${kept}.${against}`,
  ]
}
