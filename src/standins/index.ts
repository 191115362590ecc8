import { buildIndex } from '../core/engine'
import { limitState, type Profile } from '../core/profile'
import { toDocument, type Rec } from '../core/records'
import type { DraftSource, SearchSource } from '../core/strategy'
import { Thesaurus, type Vocabulary } from '../core/vocabulary'
import type { StandinInfo } from './list'
import { PROFILES } from './profiles'

export { standin, STANDINS, type StandinInfo } from './list'
export const profileOf = (info: StandinInfo): Profile => PROFILES[info.id]!

/** What drafting must know of a stand-in. */
export const draftSource = (info: StandinInfo): DraftSource => ({
  hasVocabulary: info.vocabularyTitle !== undefined,
  hasLimit: (kind) => limitState(kind, profileOf(info)) !== 'not available',
})

export { evidenceNow, evidenceOfFirstHalf } from './digests'
export { LATEST, readStandinKey, RELEASES, releaseWords, standinKey, type Release } from './release'

/** Where the data of a stand-in lie, below the folder of data. */
export const recordsFile = (info: StandinInfo, release: string): string => `${info.id}.${release}.json.gz`
export const vocabularyFile = (info: StandinInfo): string | undefined =>
  info.vocabularyTitle ? `${info.id}.ttl` : undefined

/** A stand-in ready to be searched. */
export interface OpenStandin extends SearchSource {
  info: StandinInfo
  profile: Profile
  release: string
  records: readonly Rec[]
  thesaurus: Thesaurus | undefined
}

export function openStandin(
  info: StandinInfo,
  release: string,
  records: readonly Rec[],
  vocabulary: Vocabulary | undefined,
): OpenStandin {
  const thesaurus = vocabulary && new Thesaurus(vocabulary)
  return {
    info,
    profile: profileOf(info),
    release,
    records,
    thesaurus,
    index: buildIndex(records.map(toDocument)),
    options: { headings: (label, below) => thesaurus?.foldedLabels(label, below) },
    withNarrower: (label) => {
      const heading = thesaurus?.byLabel(label)
      return heading && thesaurus!.withNarrower(heading).map((h) => h.label)
    },
  }
}
