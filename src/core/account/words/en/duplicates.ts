import { are, were } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const duplicates: Words<FoundOf<'duplicates'>> = {
  says: ({ rules, byHand, open }) => {
    const left = open
      ? `; ${fact('duplicates.open')} that may be one work ${are(open)} still to be judged`
      : ''
    const hand = `${fact('duplicates.byHand')} ${were(byHand)} judged by hand`
    if (rules === undefined)
      return [
        `Duplicates were looked for by hand: ${hand}${left}.`,
        `By hand duplicates were looked for: ${hand}${left}.`,
      ]
    // Since the second version of the rules: how a preprint is counted is asked by whoever reads the numbers.
    const versions = rules >= 2 ? ', for which a preprint and its article are one work' : ''
    const also = byHand ? `, and ${hand}` : ''
    return [
      `Duplicates were looked for by the rules of Luvren (${fact('duplicates.rules')})${versions}${also}${left}.`,
      `By the rules of Luvren (${fact('duplicates.rules')})${versions && `${versions},`} duplicates were looked for${also}${left}.`,
    ]
  },
}
