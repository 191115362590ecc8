import { verbatim } from '../document'
import type { FactContext } from '../facts'
import type { ClaimOf } from '../claims'
import type { Say } from './say'

const were = (n: number): string => (n === 1 ? 'was' : 'were')

/** At most three reasons, the most frequent first, each with its number. */
const reasons = (list: readonly string[], of: string): string =>
  list
    .slice(0, 3)
    .map((reason) => `{${of}:${reason}}`)
    .join(', ')

/** What was read in title and abstract and in full text, and how it was ruled. */
export const SELECTION = {
  RemovedUnread: ({ count, reasons: why }: ClaimOf<'RemovedUnread'>) =>
    `Before anything was read, {broad.removed} ${were(count)} removed${why.length ? ` (${reasons(why, 'removed.for')})` : ''}.`,
  Read: ({ left, criterionIds }: ClaimOf<'Read'>, say: Say, { review }: FactContext) => {
    const asked = review.criteria.filter((k) => criterionIds.includes(k.id))
    const questions = asked.map((k) => `*${verbatim(k.text)}*`).join(' ')
    const against = asked.length
      ? ` ${asked.length === 1 ? 'One question was' : 'These questions were'} asked of each: ${questions}`
      : ''
    const kept = '{broad.in} for full text, {broad.out} set aside and {broad.unsure} left open'
    return left
      ? `${say('So far we have read titles and abstracts of {broad.ruled} of {works}', 'So far titles and abstracts of {broad.ruled} of {works} have been read')}; {readers} ruled: ${kept}, with {broad.left} still to be read.${against}`
      : `${say('We read titles and abstracts of {broad.read}', 'Titles and abstracts of {broad.read} were read')}; {readers} ruled: ${kept}.${against}`
  },
  Agreed: ({ kappa }: ClaimOf<'Agreed'>) =>
    `Of {agreed.both} that two readers ruled, they said the same of {agreed.share}${kappa ? ' (Cohen’s kappa {agreed.kappa})' : ''}.`,
  Sought: ({ count, notHad, awaited }: ClaimOf<'Sought'>, say: Say) => {
    const sought = say(
      'We sought the full text of {texts.sought}',
      `The full text of {texts.sought} was sought`,
    )
    const missed = notHad ? `; {texts.notHad} ${were(notHad)} not to be had` : ''
    const wait = awaited
      ? `${missed ? ' and' : ';'} {texts.awaited} ${awaited === 1 ? 'is' : 'are'} still awaited or unread`
      : ''
    return count ? `${sought}${missed}${wait}.` : ''
  },
  ReadInFull: ({ out, open, reasons: why, finished }: ClaimOf<'ReadInFull'>, say: Say) => {
    const begin = finished ? '' : 'so far '
    const first = say(
      `Of {texts.read} that we ${begin ? 'have so far read' : 'read'} in full`,
      `Of {texts.read} that ${begin ? 'have so far been read' : 'were read'} in full`,
    )
    const gone = out
      ? `{close.out} ${were(out)} set aside${why.length ? ` (${reasons(why, 'out.for')})` : ''}`
      : 'none was set aside'
    const undecided = open ? `, {close.open} ${were(open)} left open` : ''
    return `${first}, ${gone}${undecided} and {close.in} ${finished ? 'remained' : 'remain'}.`
  },
  Studies: () => 'They report {studies}.',
}
