import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const notSent: Words<FoundOf<'not-sent'>> = {
  says: ({ id }) => [
    `In {source.name:${id}}, NOT was not sent in {lines.withoutNot:${id}}; nothing was left out there.`,
    `Nothing was left out in {source.name:${id}} in {lines.withoutNot:${id}}, where NOT was not sent.`,
  ],
}
