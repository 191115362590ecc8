import type { Profile } from '../profile'
import { digestOf, foldLabel } from '../base'
import { importOf, type HeadingNoted, type Review, type Source, type VocabularyFile } from '../review'
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
  vocabulary: SourceVocabulary | undefined
}

export interface SourceVocabulary {
  key: string
  title: string
  file: VocabularyFile | undefined
  /** Only these headings of it were seen, on its pages: what they do not say is not known. */
  noted?: readonly HeadingNoted[]
}

/** The key under which the worker keeps the vocabulary of a file. */
export const fileKey = (file: Pick<VocabularyFile, 'digest'>): string => `file:${file.digest}`

/** The key of headings that were noted: another list is another vocabulary. */
export const notedKey = (noted: readonly HeadingNoted[]): string =>
  `file:noted:${digestOf(new TextEncoder().encode(JSON.stringify(noted)))}`

/** Are its records indexed with headings, by its thesaurus or by its description? */
export const hasHeadings = (info: Pick<SourceInfoOf<SearchedHere>, 'vocabulary' | 'profile'>): boolean =>
  info.vocabulary !== undefined || info.profile?.headings !== undefined

/** What any source is: one that searches here, a described one and one without a query are cases of the same. */
export function sourceInfoIn<S extends SearchedHere>(
  registry: Registry<S>,
  review: Review,
  source: Source,
): SourceInfoOf<S> {
  const here = registry.find(source.profileId)
  const file = review.vocabularies.find((v) => v.sourceId === source.id)
  const own = here?.vocabularyTitle && { key: here.id, title: here.vocabularyTitle, file: undefined }
  const all = review.headingsNoted?.filter((h) => h.sourceId === source.id) ?? []
  // Of one that was noted more than once, what was seen last.
  const noted = [...new Map(all.map((h) => [foldLabel(h.label), h])).values()]
  const seen = noted.length
    ? { key: notedKey(noted), title: `Headings seen of ${source.name}`, file: undefined, noted }
    : undefined
  return {
    source,
    short: here?.short ?? source.name,
    standin: here,
    searched: here && registry.keyOf(here.id, source.release),
    release: here && (source.release ?? registry.latest),
    profile: here ? registry.profileOf(here) : review.profiles.find((p) => p.id === source.profileId),
    vocabulary: file ? { key: fileKey(file), title: file.title, file } : own || seen,
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
