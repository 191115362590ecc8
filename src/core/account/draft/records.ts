import type { ClaimOf } from '../claims'

/** What was found and what was brought in: two facts. Then what was left after merging. */
export const RECORDS = {
  BroughtIn: ({ count, ofHits }: ClaimOf<'BroughtIn'>) => {
    const brought = `{records.identified} ${count === 1 ? 'was' : 'were'} brought in.`
    return ofHits ? `The searches found {hits.total}, and ${brought}` : `In all, ${brought}`
  },
  FoundOnce: () => 'Of the works, {works.once} stood in one source only.',
  Merged: () => 'After {records.duplicates} had been merged, {works} remained.',
}
