import { are } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const updateBrought: Words<FoundOf<'update-brought'>> = {
  says: ({ round, included }) => {
    const kept = included
      ? `{round.included:${round}} of these ${are(included)} included`
      : 'none of these is included so far'
    const came = `{round.identified:${round}}, {round.works:${round}} of them new; ${kept}.`
    return [`An update brought ${came}`, `By an update came ${came}`]
  },
}
