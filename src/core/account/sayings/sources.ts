import type { FactContext } from '../facts'
import { searchedIn } from '../standing'
import { saying } from './saying'

const idsOf = (list: readonly { id: string }[]): string[] => list.map((s) => s.id)
const databases = ({ review }: FactContext) => review.sources.filter((s) => s.kind === 'database')
const open = (c: FactContext) => {
  const done = new Set(idsOf(searchedIn(c.review)))
  return databases(c).filter((s) => !done.has(s.id))
}

/** Which databases were searched. */
export const searched = saying<{ sourceIds: string[] }>({
  family: 'databases searched',
  place: { theme: 'where', phase: 'searched', stage: 'question' },
  core: true,
  finds: {
    when: { ran: ({ review }) => searchedIn(review).length > 0 },
    found: ({ review }) => ({ sourceIds: idsOf(searchedIn(review)) }),
  },
})

/** Which databases are to be searched, where nothing has been searched yet. */
export const toSearch = saying<{ sourceIds: string[] }>({
  family: 'databases to be searched',
  groups: (c) => (open(c).length ? [''] : []),
  place: { theme: 'where', phase: 'planned', stage: 'question' },
  core: true,
  finds: {
    when: { noneRan: ({ review }) => !searchedIn(review).length },
    found: (c) => ({ sourceIds: idsOf(open(c)) }),
  },
})

/** Those that were searched, else those that are planned: of them it is told what thesauri they have. */
const spoken = (c: FactContext) => (searchedIn(c.review).length ? searchedIn(c.review) : databases(c))

/** Which of them index their records with a thesaurus, by what is known of them. */
export const indexed = saying<{ sourceIds: string[]; of: number; done: boolean }>({
  family: 'thesauri',
  place: { theme: 'where', phase: 'searched', stage: 'question' },
  phaseOf: ({ done }) => (done ? 'searched' : 'planned'),
  finds: {
    when: { any: (c) => spoken(c).some((s) => c.source(s.id)?.hasVocabulary) },
    found: (c) => ({
      sourceIds: idsOf(spoken(c).filter((s) => c.source(s.id)?.hasVocabulary)),
      of: spoken(c).length,
      done: searchedIn(c.review).length > 0,
    }),
  },
})

/** Databases that are planned and not searched, where others were. */
export const toSearchBesides = saying<{ sourceIds: string[] }>({
  family: 'databases to be searched',
  place: { theme: 'where', phase: 'planned', stage: 'question' },
  core: true,
  finds: {
    when: { planned: (c) => open(c).length > 0, othersRan: ({ review }) => searchedIn(review).length > 0 },
    found: (c) => ({ sourceIds: idsOf(open(c)) }),
  },
})

/** On the same platform others were searched with it. */
export const together = saying<{ sourceId: string; platform: boolean }>({
  family: 'searched at once',
  groups: (c) => idsOf(searchedIn(c.review).filter((s) => s.together?.trim())),
  place: { theme: 'where', phase: 'searched', stage: 'question' },
  core: true,
  finds: {
    when: {},
    found: ({ review }, sourceId) => ({
      sourceId,
      platform: !!review.sources.find((s) => s.id === sourceId)?.platform?.trim(),
    }),
  },
})
