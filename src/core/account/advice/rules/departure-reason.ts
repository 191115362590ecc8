import { departures, differenceWords } from '../../protocol'
import type { Rule } from '../advice'

/** Each departure from the protocol has a reason. */
export const departureReason: Rule = ({ context }) =>
  departures(context)
    .filter((d) => !d.reason)
    .map((d) => ({
      matter: d.key,
      message: `The review departs from its protocol without a reason: ${differenceWords(d)}.`,
      mend: { stage: 'methods' as const, anchor: 'protocol', label: 'Say why' },
    }))
