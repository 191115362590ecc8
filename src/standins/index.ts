import { buildIndex } from '../core/engine'
import { limitState, type Profile } from '../core/profile'
import { toDocument, type Rec } from '../core/records'
import type { DraftSource, SearchSource } from '../core/strategy'
import { Thesaurus, type Vocabulary } from '../core/vocabulary'
import { PROFILES } from './profiles'

/** One of the invented databases that ship with Luvren. */
export interface StandinInfo {
  id: string
  name: string
  short: string
  vocabularyTitle?: string
  /** What sets it apart, in a few words. */
  character: string
}

export const STANDINS: readonly StandinInfo[] = [
  {
    id: 'fernhollow',
    name: 'Fernhollow Education Index',
    short: 'Fernhollow',
    vocabularyTitle: 'Fernhollow Thesaurus',
    character: 'lines kept · headings, main focus · no nearness',
  },
  {
    id: 'girder',
    name: 'Girder & Sound Abstracts',
    short: 'Girder & Sound',
    vocabularyTitle: 'Girder & Sound Thesaurus',
    character: 'stems · words side by side are a phrase · headings and codes',
  },
  {
    id: 'mindmere',
    name: 'Mindmere Psychology File',
    short: 'Mindmere',
    vocabularyTitle: 'Mindmere Thesaurus',
    character: 'nearness both ways · headings, main focus · named measures',
  },
  {
    id: 'wideband',
    name: 'Wideband Citation Index',
    short: 'Wideband',
    character: 'no vocabulary · OR before AND · exports 1,200',
  },
  {
    id: 'quayside',
    name: 'Quayside Library Search',
    short: 'Quayside',
    character: 'keeps no lines · AND, OR, NOT only in capitals · full text · shows 500',
  },
]

export const standin = (id: string | undefined): StandinInfo | undefined => STANDINS.find((s) => s.id === id)
export const profileOf = (info: StandinInfo): Profile => PROFILES[info.id]!

/** What drafting must know of a stand-in. */
export const draftSource = (info: StandinInfo): DraftSource => ({
  hasVocabulary: info.vocabularyTitle !== undefined,
  hasLimit: (kind) => limitState(kind, profileOf(info)) !== 'not available',
})

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
