import { verbatim } from '../../document'
import type { FoundOf } from '../../sayings'
import { were } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

export const broughtShort: Words<FoundOf<'brought-short'>> = {
  says: ({ id, most, rankedBy, brought: n }) => {
    const [name, found, brought] = [fact('source.name', id), fact('hits.final', id), fact('records.from', id)]
    const cap = `${most ? ', the most that it hands out' : ''}${rankedBy ? `, the first by ${verbatim(rankedBy)}` : ''}`
    return [
      `Of ${found} found in ${name}, ${brought} ${were(n)} brought in${cap}.`,
      `In ${name} ${found} were found, of which ${brought} ${were(n)} brought in${cap}.`,
    ]
  },
}
