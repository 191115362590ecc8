import type { Profile } from '../core/profile'
import { importOf, type Review, type Source, type VocabularyFile } from '../core/review'
import { LATEST, profileOf, standin, standinKey, type StandinInfo } from '.'

/** What the screens must know of a source beside what the plan says of it. */
export interface SourceInfo {
  source: Source
  /** A name short enough for a column. */
  short: string
  /** The invented database behind it, if it is one. */
  standin: StandinInfo | undefined
  /** What the worker opens to search it: the stand-in in the release that is asked for. */
  searched: string | undefined
  /** That release. */
  release: string | undefined
  /** How it speaks: a stand-in's profile, or one that the user described. */
  profile: Profile | undefined
  /** The vocabulary to be read for it: a file that was brought in, else the stand-in's own. */
  vocabulary: { key: string; title: string; file: VocabularyFile | undefined } | undefined
}

export function sourceInfo(review: Review, source: Source): SourceInfo {
  const info = standin(source.profileId)
  const file = review.vocabularies.find((v) => v.sourceId === source.id)
  const own = info?.vocabularyTitle && { key: info.id, title: info.vocabularyTitle, file: undefined }
  return {
    source,
    short: info?.short ?? source.name,
    standin: info,
    searched: info && standinKey(info.id, source.release),
    release: info && (source.release ?? LATEST),
    profile: info ? profileOf(info) : review.profiles.find((p) => p.id === source.profileId),
    vocabulary: file ? { key: fileKey(file), title: file.title, file } : own || undefined,
  }
}

/**
 * Are all these records ones of the databases that ship with Luvren? What came in a file is somebody's own, whatever source
 * it was brought in for.
 */
export const isInvented = (
  review: Pick<Review, 'imports' | 'sources'>,
  recordIds: readonly string[],
): boolean =>
  recordIds.every((id) => {
    const of = review.imports.find((i) => i.id === importOf(id))
    const source = review.sources.find((s) => s.id === of?.sourceId)
    return of !== undefined && !of.file && standin(source?.profileId) !== undefined
  })

/** The key under which the worker keeps the vocabulary of a file. */
export const fileKey = (file: Pick<VocabularyFile, 'digest'>): string => `file:${file.digest}`
