import { keptFor, canonicalJson, digestOf } from '../core/base'
import type { Profile } from '../core/profile'
import type { Review, Run, RunEvidence } from '../core/review'
import { FIRST_HALF_DATA, FIRST_HALF_PROFILES, FIRST_HALF_VOCABULARIES } from './first-half'
import { DATA_DIGESTS, VOCABULARY_DIGESTS } from './release-digests'
import { standin } from './list'

const sourceOf = (review: Pick<Review, 'sources'>, sourceId: string) =>
  review.sources.find((s) => s.id === sourceId)

const only = (evidence: Partial<Record<keyof RunEvidence, string | undefined>>): RunEvidence =>
  Object.fromEntries(Object.entries(evidence).filter(([, digest]) => digest !== undefined))

const profileDigest = keptFor((profile: Profile) => digestOf(canonicalJson(profile)))

/**
 * What a run of the first form met: for a stand-in, the data, profile and vocabulary of that time; for another database,
 * the profile that the review has for it and the vocabulary that was read from a file.
 */
export function evidenceOfFirstHalf(review: Review, run: Run): RunEvidence {
  const source = sourceOf(review, run.sourceId)
  const file = review.vocabularies.find((v) => v.sourceId === run.sourceId)?.digest
  const info = standin(source?.profileId)
  const profile = review.profiles.find((p) => p.id === source?.profileId)
  return only({
    data: info && run.how === 'stand-in' ? FIRST_HALF_DATA[`${info.id}@${run.release}`] : undefined,
    profile: info ? FIRST_HALF_PROFILES[info.id] : profile && profileDigest(profile),
    vocabulary: file ?? (info && FIRST_HALF_VOCABULARIES[info.id]),
  })
}

/** What a run meets now. */
export const evidenceNow = (met: {
  standinId: string | undefined
  release: string | undefined
  profile: Profile | undefined
  /** Of the file that its vocabulary was read from. */
  vocabularyFile: string | undefined
}): RunEvidence =>
  only({
    data: met.standinId && met.release ? DATA_DIGESTS[`${met.standinId}@${met.release}`] : undefined,
    profile: met.profile && profileDigest(met.profile),
    vocabulary: met.vocabularyFile ?? (met.standinId ? VOCABULARY_DIGESTS[met.standinId] : undefined),
  })
