import { are } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const sourceGone: Words<FoundOf<'source-gone'>> = {
  says: ({ id, records, stayed, another, dated, alone }) => {
    const when = dated ? ` ${fact('gone.on', id)}` : ''
    const left = records ? `, with its ${fact('gone.records', id)}` : ''
    const since = stayed
      ? `; ${fact('gone.stayed', id)} that came of it ${are(stayed)} still counted`
      : '; nothing of it is counted here'
    const what = another ? `an earlier search of ${fact('gone.name', id)}` : fact('gone.name', id)
    return another
      ? [
          `An earlier search of ${fact('gone.name', id)}, ${fact('gone.days', id)}, was taken out of the plan${when}${left}${since}.`,
          `Taken out of the plan${when}${left} was ${what}, ${fact('gone.days', id)}${since}.`,
        ]
      : [
          `${fact('^gone.name', id)} was searched${alone ? '' : ' as well'}, ${fact('gone.days', id)}, and taken out of the plan${when}${left}${since}.`,
          `Taken out of the plan${when}${left} was ${what}, searched ${fact('gone.days', id)}${since}.`,
        ]
  },
}
