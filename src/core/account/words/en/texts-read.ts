import { listed } from '../../../base'
import { are, were, type Say } from './speaker'
import type { FactContext } from '../../facts'
import type { FoundOf } from '../../sayings'
import { readersOfAny } from '../../sayings/who-read'
import { reasonsTold } from './reasons'
import type { Words } from './words'
import { fact } from './fact'

type Found = FoundOf<'texts-read'>

const told = (
  { out, open, toSettle, noText, included, reasons, finished }: Found,
  say: Say,
  context: FactContext,
  short: boolean,
): string[] => {
  const so = finished ? '' : 'so far '
  const why = short ? [] : reasonsTold('out', reasons)
  const parts = [
    out
      ? `${fact('close.out')} ${were(out)} set aside${why.length ? ` (${why.join(', ')})` : ''}`
      : 'none was set aside',
    ...(open ? [`${fact('close.open')} ${were(open)} left open`] : []),
    ...(toSettle ? [`${fact('close.toSettle')} ${are(toSettle)} to be settled`] : []),
    included
      ? `${fact('close.in')} ${finished ? 'remained' : included === 1 ? 'remains' : 'remain'}`
      : `none ${finished ? 'remained' : 'remains'}`,
  ]
  const read = out + open + toSettle + included
  const all = noText === read
  const [have, were_] = read === 1 ? ['has', 'was'] : ['have', 'were']
  const bare = noText ? ` (${all ? '' : `${fact('texts.noText')} of them `}without a text noted)` : ''
  const given = `Reading ${fact('texts.read')} in full${bare} ${so ? 'has so far given' : 'gave'} this: ${listed(parts)}.`
  const passive = [
    `Of ${fact('texts.read')} that ${so ? `${have} so far been read` : `${were_} read`} in full${bare}, ${listed(parts)}.`,
    given,
  ]
  if (short)
    return [`Of ${fact('texts.read')} read in full${so && ' so far'}${bare}, ${listed(parts)}.`, given]
  if (context.review.account.voice === 'I' && readersOfAny(context) > 1) return passive
  return say(
    [
      `Of ${fact('texts.read')} that we ${so ? 'have so far read' : 'read'} in full${bare}, ${listed(parts)}.`,
      given,
    ],
    passive,
  )
}

export const textsRead: Words<Found> = {
  says: (found, say, context) => told(found, say, context, false),
  short: (found, say, context) => told(found, say, context, true),
}
