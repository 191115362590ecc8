import { were } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const phrasesSentApart: Words<FoundOf<'phrases-apart'>> = {
  says: ({ sources }) => {
    const one = ({ id }: (typeof sources)[number]): string =>
      `${fact('source.name', id)}, ${fact('phrases.apart', id)}`
    const [first, ...others] = sources
    if (!first) return []
    const rest = others.map((s) => `; in ${one(s)}`).join('')
    return [
      `In ${one(first)} ${were(first.phrases)} asked for word by word, not as a phrase${rest}.`,
      `Word by word, not as a phrase: in ${one(first)}${rest}.`,
    ]
  },
}
