import type { Profile } from '../profile'

/** A source that searches here: what is shown of it, and which vocabulary it brings. */
export interface SearchedHere {
  id: string
  name: string
  short: string
  vocabularyTitle?: string
  /** What sets it apart, in a few words. */
  character: string
}

/**
 * The sources that search here, handed in by whoever starts the program: page, worker, command line. Nothing registers by
 * being imported.
 */
export interface Registry<S extends SearchedHere = SearchedHere> {
  find: (profileId: string | undefined) => S | undefined
  profileOf: (of: S) => Profile
  /** The release that is searched unless another is asked for. */
  latest: string
  releaseWords: (release: string) => string
  /** One word for a source in a release: what the worker opens. */
  keyOf: (id: string, release: string | undefined) => string
}
