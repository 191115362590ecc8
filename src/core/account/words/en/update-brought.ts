import { are } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const updateBrought: Words<FoundOf<'update-brought'>> = {
  says: ({ round, included }) => {
    const kept = included
      ? `${fact('round.included', round)} of these ${are(included)} included`
      : 'none of these is included so far'
    const came = `${fact('round.identified', round)}, ${fact('round.works', round)} of them new; ${kept}.`
    return [`An update brought ${came}`, `By an update came ${came}`]
  },
}
