import { foldLabel } from '../../base'
import type { FactContext } from '../facts'
import { saying } from './saying'

/** What was looked up by people in the thesaurus of a source: on which days, and which words are no heading there. */
export function lookedUp({ review }: FactContext, sourceId: string): { days: string[]; missing: string[] } {
  const noted = review.headingsNoted?.filter((h) => h.sourceId === sourceId && h.from !== 'record') ?? []
  const looked = review.lookups?.filter((l) => l.sourceId === sourceId && l.what === 'heading') ?? []
  const found = new Set(noted.map((h) => foldLabel(h.label)))
  return {
    days: [...new Set([...noted, ...looked].map((l) => l.day))].sort(),
    // What was found there later was not missing.
    missing: [...new Set(looked.map((l) => l.words).filter((w) => !found.has(foldLabel(w))))],
  }
}

/** When headings were looked up in a thesaurus that is not here, and what has none in it. */
export const headingsSeen = saying<{ sourceId: string; missing: boolean }>({
  family: 'headings looked up',
  groups: ({ review }) => review.sources.map((s) => s.id),
  place: { theme: 'words', phase: 'planned', stage: 'terms' },
  finds: {
    when: { looked: (c, of) => lookedUp(c, of).days.length > 0 },
    found: (c, of) => ({ sourceId: of, missing: lookedUp(c, of).missing.length > 0 }),
  },
})
