import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const limitsBeyond: Words<FoundOf<'limits-beyond'>> = {
  says: ({ id, planned }) => {
    const also = planned ? 'also ' : ''
    const unplanned = planned ? ', which the plan does not have' : ''
    return [
      `In {source.name:${id}} the search was ${also}limited to {limits.beyond:${id}}${unplanned}.`,
      `The search in {source.name:${id}} was ${also}limited to {limits.beyond:${id}}${unplanned}.`,
    ]
  },
}
