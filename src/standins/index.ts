import { buildIndex } from '../core/engine'
import { toDocument, type Rec } from '../core/records'
import type { SearchSource } from '../core/strategy'
import { Thesaurus, type Vocabulary } from '../core/vocabulary'

/** One of the invented databases that ship with Luvren. */
export interface StandinInfo {
  id: string
  name: string
  short: string
  /** The release that is searched, as year and month. */
  release: string
  releaseWords: string
  vocabularyTitle?: string
  habits: string
}

export const STANDINS: readonly StandinInfo[] = [
  {
    id: 'fernhollow',
    name: 'Fernhollow Education Index',
    short: 'Fernhollow',
    release: '2026-09',
    releaseWords: 'release of September 2026',
    vocabularyTitle: 'Fernhollow Thesaurus',
    habits: 'lines kept · headings, main focus · no nearness',
  },
]

export const standin = (id: string | undefined): StandinInfo | undefined => STANDINS.find((s) => s.id === id)

/** Where the data of a stand-in lie, below the folder of data. */
export const recordsFile = (info: StandinInfo): string => `${info.id}.${info.release}.json.gz`
export const vocabularyFile = (info: StandinInfo): string | undefined =>
  info.vocabularyTitle ? `${info.id}.ttl` : undefined

/** A stand-in ready to be searched. */
export interface OpenStandin extends SearchSource {
  info: StandinInfo
  records: readonly Rec[]
  thesaurus: Thesaurus | undefined
}

export function openStandin(
  info: StandinInfo,
  records: readonly Rec[],
  vocabulary: Vocabulary | undefined,
): OpenStandin {
  const thesaurus = vocabulary && new Thesaurus(vocabulary)
  return {
    info,
    records,
    thesaurus,
    index: buildIndex(records.map(toDocument)),
    options: { headings: (label, below) => thesaurus?.foldedLabels(label, below) },
  }
}
