import type { FoundOf } from '../../sayings'
import { databases } from './speaker'
import type { Words } from './words'

const look = (ids: readonly string[]): string => `${databases(ids)} ${ids.length === 1 ? 'looks' : 'look'}`

export const stemmed: Words<FoundOf<'stemmed'>> = {
  says: ({ stems, plurals }) => {
    if (!stems.length)
      return [
        `${look(plurals)} for singular and plural of a word alike.`,
        `Singular and plural of a word are looked for alike in ${databases(plurals)}.`,
      ]
    return plurals.length
      ? [
          `${look(stems)} for all forms of a word, ${databases(plurals)} for singular and plural alike.`,
          `All forms of a word are looked for in ${databases(stems)}, singular and plural alike in ${databases(plurals)}.`,
        ]
      : [
          `${look(stems)} for all forms of a word.`,
          `All forms of a word are looked for in ${databases(stems)}.`,
        ]
  },
}
