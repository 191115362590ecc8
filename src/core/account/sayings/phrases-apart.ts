import { searchedIn } from '../standing'
import { phrasesApart } from '../taken-apart'
import { saying } from './saying'

/** In which databases phrases were sent as their words, which may stand anywhere then. */
export const phrasesSentApart = saying<{ sources: { id: string; phrases: number }[] }>({
  family: 'phrases sent as words',
  place: { theme: 'words', phase: 'searched', stage: 'searches' },
  finds: {
    when: { apart: ({ review }) => searchedIn(review).some((s) => phrasesApart(review, s.id).length > 0) },
    found: ({ review }) => ({
      sources: searchedIn(review).flatMap(({ id }) => {
        const phrases = phrasesApart(review, id).length
        return phrases ? [{ id, phrases }] : []
      }),
    }),
  },
})
