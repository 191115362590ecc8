import type { SourceFacts } from '../account'
import type { Review, Source } from '../review'
import type { Registry, SearchedHere } from './registry'
import { hasHeadings, sourceInfoIn } from './source-info'

/** What stands in the place of a release for a database outside: how it was reached and what it covers. */
const asSearched = (review: Review, source: Source): string => {
  const run = review.runs.findLast((r) => r.sourceId === source.id)
  const platform = run?.platform || source.platform
  const coverage = run?.release || source.coverage
  return (
    [...(platform ? [`through ${platform}`] : []), ...(coverage ? [`covering ${coverage}`] : [])].join(
      ', ',
    ) || 'by hand'
  )
}

/** What is known of the sources of a review beside it, by their ids. */
export const sourceFactsIn =
  <S extends SearchedHere>(registry: Registry<S>, review: Review) =>
  (sourceId: string): SourceFacts | undefined => {
    const source = review.sources.find((s) => s.id === sourceId)
    const info = source && sourceInfoIn(registry, review, source)
    if (!info?.profile) return undefined
    const { profile, vocabulary } = info
    return {
      // Before any run, the release that would be searched; of runs, each says its own.
      release: info.standin
        ? registry.releaseWords(info.release ?? registry.latest)
        : asSearched(review, info.source),
      ...(info.standin ? { releaseWords: registry.releaseWords } : {}),
      hasVocabulary: hasHeadings(info),
      short: info.short,
      profile,
      ...(vocabulary ? { vocabularyTitle: vocabulary.title } : {}),
    }
  }
