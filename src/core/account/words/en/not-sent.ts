import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const notSent: Words<FoundOf<'not-sent'>> = {
  says: ({ id }) => [
    `In ${fact('source.name', id)}, NOT was not sent in ${fact('lines.withoutNot', id)}; nothing was left out there.`,
    `Nothing was left out in ${fact('source.name', id)} in ${fact('lines.withoutNot', id)}, where NOT was not sent.`,
  ],
}
