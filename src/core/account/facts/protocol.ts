import { pluralInWords } from '../../base'
import { departures } from '../protocol'
import { dateWords } from '../words'
import { MISSING, type FactContext, type Reader } from './fact'

const dayOf =
  (at: (c: FactContext) => string | undefined, from: string): Reader =>
  (c) => {
    const found = at(c)
    return {
      text: found ? dateWords(found) : MISSING,
      missing: !found,
      stage: 'methods',
      anchor: 'protocol',
      from,
    }
  }

/** Facts of the protocol. */
export const PROTOCOL = {
  'protocol.frozen': dayOf((c) => c.review.protocol?.[0]?.at, 'the day on which the plan was frozen'),
  'protocol.last': dayOf((c) => c.review.protocol?.slice(1).at(-1)?.at, 'the day of the last amendment'),
  'protocol.amended': (c) => {
    const n = (c.review.protocol?.length ?? 1) - 1
    return {
      text: n === 1 ? 'once' : n === 2 ? 'twice' : pluralInWords(n, 'time'),
      missing: n < 1,
      stage: 'methods',
      anchor: 'protocol',
      from: 'the amendments of the protocol',
    }
  },
  'protocol.registered': (c) => {
    const known = c.review.registration
    return {
      text: known ? `${known.place}${known.number ? ` (${known.number})` : ''}` : MISSING,
      missing: !known,
      stage: 'methods',
      anchor: 'protocol',
      from: 'where the protocol was registered',
    }
  },
  departures: (c) => {
    const n = departures(c).length
    return {
      text: pluralInWords(n, 'point'),
      missing: !n,
      stage: 'methods',
      anchor: 'protocol',
      from: 'the differences of the protocol and what is there now',
    }
  },
} satisfies Record<string, Reader>
