import { listed } from '../../../base'
import { are, were, type Say } from './speaker'
import type { FactContext } from '../../facts'
import type { FoundOf } from '../../sayings'
import { readersOfAny } from '../../sayings/who-read'
import type { Words } from './words'
import { fact } from './fact'

type Found = FoundOf<'titles-read'>

const told = (
  { left, out, open, toSettle }: Found,
  say: Say,
  context: FactContext,
  short: boolean,
): string[] => {
  const now = left ? are : were
  const kept = [
    `${fact('broad.in')} went on to full text`,
    out ? `${fact('broad.out')} ${were(out)} set aside` : 'none was set aside',
  ]
  const parts = [
    ...(open ? [`${fact('broad.unsure')} ${now(open)} left open`] : []),
    ...(toSettle ? [`${fact('broad.toSettle')} ${are(toSettle)} to be settled`] : []),
  ]
  const waiting = open || toSettle ? [`${fact('broad.undecided')} undecided`] : []
  const rest = left ? `; ${fact('broad.left')} ${are(left)} still to be read` : ''
  const came = short ? `: ${[...kept, ...waiting].join(', ')}.` : `: ${listed([...kept, ...parts])}${rest}.`
  const of = left ? `${fact('broad.ruled')} of ${fact('works')}` : fact('broad.read')
  const passive = left
    ? [
        `Titles and abstracts of ${of} have ${short ? '' : 'so far '}been read${came}`,
        `So far titles and abstracts of ${of} have been read${came}`,
      ]
    : [`Titles and abstracts of ${of} were read${came}`, `Read were titles and abstracts of ${of}${came}`]
  // One who writes alone does not speak of several readers as of themselves.
  if (context.review.account.voice === 'I' && readersOfAny(context) > 1) return passive
  return say(
    left
      ? [
          `We have ${short ? '' : 'so far '}read titles and abstracts of ${of}${came}`,
          `So far we have read titles and abstracts of ${of}${came}`,
        ]
      : [`We read titles and abstracts of ${of}${came}`, `Titles and abstracts of ${of} were read${came}`],
    passive,
  )
}

export const titlesRead: Words<Found> = {
  says: (found, say, context) => told(found, say, context, false),
  short: (found, say, context) => told(found, say, context, true),
}
