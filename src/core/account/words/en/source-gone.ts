import { are } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const sourceGone: Words<FoundOf<'source-gone'>> = {
  says: ({ id, records, stayed, another, dated, alone }) => {
    const when = dated ? ` {gone.on:${id}}` : ''
    const left = records ? `, with its {gone.records:${id}}` : ''
    const since = stayed
      ? `; {gone.stayed:${id}} that came of it ${are(stayed)} still counted`
      : '; nothing of it is counted here'
    const what = another ? `an earlier search of {gone.name:${id}}` : `{gone.name:${id}}`
    return another
      ? [
          `An earlier search of {gone.name:${id}}, {gone.days:${id}}, was taken out of the plan${when}${left}${since}.`,
          `Taken out of the plan${when}${left} was ${what}, {gone.days:${id}}${since}.`,
        ]
      : [
          `{^gone.name:${id}} was searched${alone ? '' : ' as well'}, {gone.days:${id}}, and taken out of the plan${when}${left}${since}.`,
          `Taken out of the plan${when}${left} was ${what}, searched {gone.days:${id}}${since}.`,
        ]
  },
}
