import type { RecordFinder } from '@/core/records'
import type { RunCache, SpellingPairs } from '@/core/strategy'
import type { OpenStandin } from '@/standins'
import type { OpenSources } from './open-sources'

/** As much of the sources of the worker as judging and harvesting need, opened by whoever has them at hand. */
export interface SourcesAtHand {
  source: (key: string) => OpenStandin
  finder: (key: string) => RecordFinder
  cache: (key: string) => RunCache
  spellings: () => SpellingPairs
}

/** The sources of the desks without a network. */
export function openedSources({ source, finder, cache, spellings }: SourcesAtHand): OpenSources {
  const sources: Partial<OpenSources> = {
    source: async (key) => source(key),
    finder: async (key) => finder(key),
    cache,
    spellings: async () => spellings(),
    thesaurus: async (key) => source(key).thesaurus,
  }
  return sources as OpenSources
}
