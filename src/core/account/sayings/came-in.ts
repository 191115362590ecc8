import { finalRun, searchedIn } from '../standing'
import type { FactContext } from '../facts'
import { doneWithoutQuery } from './as-sent'
import { saying } from './saying'

/** Do the numbers of hits tell of just the searches that the records came of? */
function ofWhatWasFound(c: FactContext): boolean {
  const { review, figures } = c
  const searched = searchedIn(review)
  const hits = searched.map((s) => finalRun(review, s.id)?.hits)
  return (
    searched.length > 0 &&
    // What was done without a query found records too.
    !doneWithoutQuery(c).length &&
    hits.every((n) => n !== undefined) &&
    Object.keys(figures.brought).every((id) => searched.some((s) => s.id === id)) &&
    hits.reduce<number>((sum, n) => sum + (n ?? 0), 0) !== figures.identified &&
    figures.flow.rounds.length < 2
  )
}

/** How many records were brought in, of what was found where that is known; and what was left after merging. */
export const cameIn = saying<{ ofHits: boolean; merged: boolean; once: boolean }>({
  family: 'came in',
  place: { theme: 'screened', phase: 'screened', stage: 'records' },
  core: true,
  finds: {
    when: { brought: ({ figures }) => figures.identified > 0 },
    found: (c) => ({
      ofHits: ofWhatWasFound(c),
      merged: c.figures.duplicates > 0,
      once: c.figures.foundOnce > 0 && c.figures.foundOnce < c.figures.works,
    }),
  },
})
