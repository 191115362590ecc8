import type { Profile } from '../profile'
import { importOf, type Review, type Source, type VocabularyFile } from '../review'
import type { Registry, SearchedHere } from './registry'

/** What the screens must know of a source beside what the plan says of it. */
export interface SourceInfoOf<S extends SearchedHere> {
  source: Source
  /** A name short enough for a column. */
  short: string
  /** What searches here behind it, if something does. */
  standin: S | undefined
  /** What the worker opens to search it: the source in the release that is asked for. */
  searched: string | undefined
  /** That release. */
  release: string | undefined
  /** How it speaks: its own description, or one that the user wrote. */
  profile: Profile | undefined
  /** The vocabulary to be read for it: a file that was brought in, else its own. */
  vocabulary: { key: string; title: string; file: VocabularyFile | undefined } | undefined
}

/** The key under which the worker keeps the vocabulary of a file. */
export const fileKey = (file: Pick<VocabularyFile, 'digest'>): string => `file:${file.digest}`

/** What any source is: one that searches here, a described one and one without a query are cases of the same. */
export function sourceInfoIn<S extends SearchedHere>(
  registry: Registry<S>,
  review: Review,
  source: Source,
): SourceInfoOf<S> {
  const here = registry.find(source.profileId)
  const file = review.vocabularies.find((v) => v.sourceId === source.id)
  const own = here?.vocabularyTitle && { key: here.id, title: here.vocabularyTitle, file: undefined }
  return {
    source,
    short: here?.short ?? source.name,
    standin: here,
    searched: here && registry.keyOf(here.id, source.release),
    release: here && (source.release ?? registry.latest),
    profile: here ? registry.profileOf(here) : review.profiles.find((p) => p.id === source.profileId),
    vocabulary: file ? { key: fileKey(file), title: file.title, file } : own || undefined,
  }
}

/**
 * Are all these records ones of the sources that search here? What came in a file is somebody's own, whatever source it was
 * brought in for.
 */
export const inventedIn = (
  { find }: Registry,
  review: Pick<Review, 'imports' | 'sources'>,
  recordIds: readonly string[],
): boolean =>
  recordIds.every((id) => {
    const of = review.imports.find((i) => i.id === importOf(id))
    const source = review.sources.find((s) => s.id === of?.sourceId)
    return of !== undefined && !of.file && find(source?.profileId) !== undefined
  })
