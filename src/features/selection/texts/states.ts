import type { Retrieval } from '@/core/review'

/** Where a full text stands, in words. */
export const STATE_WORDS: Readonly<Record<Retrieval['state'], string>> = {
  wanted: 'wanted',
  'open copy': 'open copy found',
  subscription: 'through a subscription',
  'loan asked': 'loan asked for',
  have: 'here',
  'not to be had': 'not to be had',
}
