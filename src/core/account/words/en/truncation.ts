import { were } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const truncation: Words<FoundOf<'truncation'>> = {
  says: ({ sources }) => {
    const one = ({ id }: (typeof sources)[number]): string =>
      `${fact('source.name', id)}, ${fact('words.cut', id)}`
    const [first, ...others] = sources
    if (!first) return []
    const rest = others.map((s) => `; in ${one(s)}`).join('')
    return [
      `In ${one(first)} ${were(first.words)} sent without truncation${rest}.`,
      `Without truncation: in ${one(first)}${rest}.`,
    ]
  },
}
