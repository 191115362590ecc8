import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const broughtShort: Words<FoundOf<'brought-short'>> = {
  says: ({ id, most }) => {
    const [name, found, brought] = [fact('source.name', id), fact('hits.final', id), fact('records.from', id)]
    const cap = most ? ', the most that it hands out' : ''
    return [
      `Of ${found} found in ${name}, ${brought} were brought in${cap}.`,
      `In ${name} ${found} were found, of which ${brought} were brought in${cap}.`,
    ]
  },
}
