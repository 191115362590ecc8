import { were } from '../../draft/say/speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const duplicates: Words<FoundOf<'duplicates'>> = {
  says: ({ rules, byHand }) => {
    const hand = `{duplicates.byHand} ${were(byHand)} judged by hand`
    if (rules === undefined)
      return [`Duplicates were looked for by hand: ${hand}.`, `By hand duplicates were looked for: ${hand}.`]
    const also = byHand ? `, and ${hand}` : ''
    return [
      `Duplicates were looked for by the rules of Luvren ({duplicates.rules})${also}.`,
      `By the rules of Luvren ({duplicates.rules}) duplicates were looked for${also}.`,
    ]
  },
}
