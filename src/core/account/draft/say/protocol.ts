import type { GroupedOf } from '../grouped'
import { afterwards, because, type Say } from './speaker'

/** The protocol, its amendments, and in how much the review departed from it. */
export const PROTOCOL = {
  protocol: ({ beforeSearch, registered }: GroupedOf<'protocol'>, say: Say) => {
    const before = beforeSearch ? ', before the first search' : ''
    const where = registered ? `${before ? ',' : ''} and registered with {protocol.registered}` : ''
    return say(
      [
        `We froze our plan as a protocol on {protocol.frozen}${before}${registered ? `${before ? ',' : ''} and registered it with {protocol.registered}` : ''}.`,
        `Our plan was frozen as a protocol on {protocol.frozen}${before}${where}.`,
      ],
      [
        `Its plan was frozen as a protocol on {protocol.frozen}${before}${where}.`,
        `A protocol was frozen on {protocol.frozen}${before}${where}.`,
      ],
    )
  },
  amended: ({ times, reason }: GroupedOf<'amended'>) => {
    const why = because(reason)
    return times === 1
      ? [`The protocol was amended once, on {protocol.last}${why ? `, ${why}` : ''}.${afterwards(reason)}`]
      : [`The protocol was amended {protocol.amended}, last on {protocol.last} (Appendix J).`]
  },
  departed: ({ points }: GroupedOf<'departed'>, say: Say) => {
    const what = `from the protocol in {departures}, ${points === 1 ? 'which Appendix J explains' : 'listed with reasons in Appendix J'}.`
    return say(
      [`We departed ${what}`, `In all, we departed ${what}`],
      [`The review departs ${what}`, `In all, the review departs ${what}`],
    )
  },
}
