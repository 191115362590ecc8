import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const limitsBeyond: Words<FoundOf<'limits-beyond'>> = {
  says: ({ id, planned }) => {
    const also = planned ? 'also ' : ''
    const unplanned = planned ? ', which the plan does not have' : ''
    return [
      `In ${fact('source.name', id)} the search was ${also}limited to ${fact('limits.beyond', id)}${unplanned}.`,
      `The search in ${fact('source.name', id)} was ${also}limited to ${fact('limits.beyond', id)}${unplanned}.`,
    ]
  },
}
