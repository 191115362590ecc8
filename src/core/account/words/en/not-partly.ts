import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const notPartly: Words<FoundOf<'not-partly'>> = {
  says: ({ id }) => [
    `In {source.name:${id}}, what stands behind NOT was sent only in part in {lines.partNot:${id}}; the rest was not left out there.`,
    `Sent only in part, and only so far left out, was what stands behind NOT in {lines.partNot:${id}} of {source.name:${id}}.`,
  ],
}
