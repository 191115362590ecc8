import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const notPartly: Words<FoundOf<'not-partly'>> = {
  says: ({ id }) => [
    `In ${fact('source.name', id)}, what stands behind NOT was sent only in part in ${fact('lines.partNot', id)}; the rest was not left out there.`,
    `Sent only in part, and only so far left out, was what stands behind NOT in ${fact('lines.partNot', id)} of ${fact('source.name', id)}.`,
  ],
}
