import type { FoundOf } from '../../sayings'
import type { Words } from './words'

type Found = FoundOf<'came-in'>

const says = ({ ofHits, merged, once }: Found): string[] => {
  const alone = once ? ', {works.once} of them from one source alone' : ''
  const after = merged
    ? `; {records.described} described a work already found, and {works} remained${alone}`
    : once
      ? `; {works.once} of them stood in one source alone`
      : ''
  return ofHits
    ? [
        `Of {hits.total} that the searches found, {records.identified.n} were brought in${after}.`,
        `The searches found {hits.total}, of which {records.identified.n} were brought in${after}.`,
      ]
    : [`In all, {records.identified} came in${after}.`, `Searching brought {records.identified}${after}.`]
}

export const cameIn: Words<Found> = {
  says,
  short: (found) =>
    found.merged
      ? [
          'The {records.identified} that came in described {works}.',
          'From {records.identified} came {works}.',
        ]
      : says({ ...found, once: false }),
}
