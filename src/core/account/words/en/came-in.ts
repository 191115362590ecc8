import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

type Found = FoundOf<'came-in'>

const says = ({ ofHits, merged, once }: Found): string[] => {
  const alone = once ? `, ${fact('works.once')} of them from one source alone` : ''
  const after = merged
    ? `; ${fact('records.described')} described a work already found, and ${fact('works')} remained${alone}`
    : once
      ? `; ${fact('works.once')} of them stood in one source alone`
      : ''
  return ofHits
    ? [
        `Of ${fact('hits.total')} that the searches found, ${fact('records.identified.n')} were brought in${after}.`,
        `The searches found ${fact('hits.total')}, of which ${fact('records.identified.n')} were brought in${after}.`,
      ]
    : [
        `In all, ${fact('records.identified')} came in${after}.`,
        `Searching brought ${fact('records.identified')}${after}.`,
      ]
}

export const cameIn: Words<Found> = {
  says,
  short: (found) =>
    found.merged
      ? [
          `The ${fact('records.identified')} that came in described ${fact('works')}.`,
          `From ${fact('records.identified')} came ${fact('works')}.`,
        ]
      : says({ ...found, once: false }),
}
