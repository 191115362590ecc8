import type { Review, Source } from '../review'
import type { FlowWords } from './flow-drawing'
import { reasonWords } from './reason-words'

/** The words of the flow of a review, its sources as `called`. */
export const flowWords = (review: Review, called: (source: Source) => string): FlowWords => ({
  sourceOf: (id) => {
    const source = review.sources.find((s) => s.id === id)
    return `from ${source ? called(source) : 'a source'}`
  },
  reasonOf: (reason) => reasonWords(review, reason),
})
