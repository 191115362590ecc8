/** The stand-ins as sources that search here, for whoever is started with them. */
import { inventedIn, sourceInfoIn, type Registry, type SourceInfoOf } from '../core/sources'
import type { Review, RunEvidence, Source } from '../core/review'
import { evidenceNow, LATEST, profileOf, releaseWords, standin, standinKey, type StandinInfo } from '.'

export { fileKey, hasHeadings } from '../core/sources'

export const STANDIN_REGISTRY: Registry<StandinInfo> = {
  find: standin,
  profileOf,
  latest: LATEST,
  releaseWords,
  keyOf: standinKey,
}

export type SourceInfo = SourceInfoOf<StandinInfo>

export const sourceInfo = (review: Review, source: Source): SourceInfo =>
  sourceInfoIn(STANDIN_REGISTRY, review, source)

export const isInvented = (
  review: Pick<Review, 'imports' | 'sources'>,
  recordIds: readonly string[],
): boolean => inventedIn(STANDIN_REGISTRY, review, recordIds)

/** What a run of a source meets now, as far as it is known. */
export const evidenceOf = (info: SourceInfo): RunEvidence =>
  evidenceNow({
    standinId: info.standin?.id,
    release: info.release,
    profile: info.profile,
    vocabularyFile: info.vocabulary?.file?.digest,
  })
