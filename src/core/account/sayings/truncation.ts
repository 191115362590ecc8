import { cutWords } from '../cut-words'
import { searchedIn } from '../standing'
import { saying } from './saying'

/** In which databases words were sent as they begin, without a sign for their endings. */
export const truncation = saying<{ sources: { id: string; words: number }[] }>({
  family: 'sent without truncation',
  place: { theme: 'words', phase: 'searched', stage: 'searches' },
  finds: {
    when: { cut: ({ review }) => searchedIn(review).some((s) => cutWords(review, s.id).length > 0) },
    found: ({ review }) => ({
      sources: searchedIn(review).flatMap(({ id }) => {
        const words = cutWords(review, id).length
        return words ? [{ id, words }] : []
      }),
    }),
  },
})
