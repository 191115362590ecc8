import type { FoundOf } from '../../sayings'
import { afterwards, because } from './reason'
import type { Words } from './words'
import { fact } from './fact'

type Frozen = FoundOf<'protocol-frozen'>
const WHEN: Readonly<Record<Frozen['when'], string>> = {
  before: ', before the first search',
  after: ', after the first search',
  'none run': '',
}

const frozen: Words<Frozen>['says'] = ({ when, registered }, say) => {
  const told = `on ${fact('protocol.frozen')}${WHEN[when]}`
  const and = WHEN[when] ? ', and' : ' and'
  const where = registered
    ? `${and} registered with ${fact('protocol.registered')}`
    : '; it is not registered'
  const active = registered ? `${and} registered it with ${fact('protocol.registered')}` : where
  return say(
    [
      `Our plan was frozen as a protocol ${told}${where}.`,
      `We froze our plan as a protocol ${told}${active}.`,
    ],
    [`Its plan was frozen as a protocol ${told}${where}.`, `A protocol was frozen ${told}${where}.`],
  )
}

export const protocolFrozen: Words<Frozen> = {
  says: frozen,
  short: ({ when, points }, say) => {
    if (when === 'none run') {
      const told = `on ${fact('protocol.frozen')}`
      return say(
        [`Our plan was frozen as a protocol ${told}.`, `We froze our plan as a protocol ${told}.`],
        [`Its plan was frozen as a protocol ${told}.`, `A protocol was frozen ${told}.`],
      )
    }
    const at = when === 'before' ? 'before the first search' : `on ${fact('protocol.frozen')}`
    const but = points ? `, but for ${fact('departures')} (Appendix J)` : ''
    return say(
      [`A protocol frozen ${at} was followed${but}.`, `We followed a protocol frozen ${at}${but}.`],
      [`It followed a protocol frozen ${at}${but}.`, `A protocol frozen ${at} was followed${but}.`],
    )
  },
}

export const protocolAmended: Words<FoundOf<'protocol-amended'>> = {
  says: ({ times, reason }) => {
    const why = because(reason)
    return times === 1
      ? [
          `The protocol was amended once, on ${fact('protocol.last')}${why ? `, ${why}` : ''}.${afterwards(reason)}`,
          `Once, on ${fact('protocol.last')}, the protocol was amended${why ? `, ${why}` : ''}.${afterwards(reason)}`,
        ]
      : [
          `The protocol was amended ${fact('protocol.amended')}, last on ${fact('protocol.last')} (Appendix J).`,
          `It was amended ${fact('protocol.amended')}, last on ${fact('protocol.last')} (Appendix J).`,
        ]
  },
}

export const departed: Words<FoundOf<'departed'>> = {
  says: ({ points }, say) => {
    const what = `from the protocol in ${fact('departures')}, ${points === 1 ? 'which Appendix J explains' : 'listed with reasons in Appendix J'}.`
    return say(
      [`We departed ${what}`, `In all, we departed ${what}`],
      [`The review departs ${what}`, `In all, the review departs ${what}`],
    )
  },
}
