import type { GroupedOf } from '../grouped'
import { afterwards, because, type Say } from './speaker'

/** The protocol, its amendments, and in how much the review departed from it. */
export const PROTOCOL = {
  protocol: ({ beforeSearch, registered, points }: GroupedOf<'protocol'>, say: Say) => {
    if (points !== undefined) {
      const when = beforeSearch ? 'before the first search' : 'on {protocol.frozen}'
      const but = points ? ', but for {departures} (Appendix J)' : ''
      return say(
        [`A protocol frozen ${when} was followed${but}.`, `We followed a protocol frozen ${when}${but}.`],
        [`It followed a protocol frozen ${when}${but}.`, `A protocol frozen ${when} was followed${but}.`],
      )
    }
    const before = beforeSearch ? ', before the first search' : ''
    const where = registered ? `${before ? ',' : ''} and registered with {protocol.registered}` : ''
    return say(
      [
        `Our plan was frozen as a protocol on {protocol.frozen}${before}${where}.`,
        `We froze our plan as a protocol on {protocol.frozen}${before}${registered ? `${before ? ',' : ''} and registered it with {protocol.registered}` : ''}.`,
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
