import { recordFinder, facetIndex, type FacetIndex, type RecordFinder } from '@/core/records'
import { spellingPairs, type RunCache } from '@/core/strategy'
import { openStandin, readStandinKey, standin, type OpenStandin, type Release } from '@/standins'
import { recordsOf, vocabularyOf, type SourceId } from '@/standins/corpus/releases'
import type { OpenSources } from './open-sources'
import { openedSources } from './opened-sources'

/** The sources of the worker without a network, for tests: stand-ins drawn here, vocabularies from files handed in. */
export function openHere(): OpenSources {
  const open = new Map<string, OpenStandin>()
  const caches = new Map<string, RunCache>()
  const finders = new Map<string, RecordFinder>()
  const facets = new Map<string, FacetIndex>()
  const files = new Map<string, OpenStandin['thesaurus']>()
  const once = <T>(map: Map<string, T>, key: string, make: () => T): T => {
    const known = map.get(key)
    if (known !== undefined) return known
    const made = make()
    map.set(key, made)
    return made
  }
  const source = (key: string): OpenStandin =>
    once(open, key, () => {
      const { id, release } = readStandinKey(key)
      const info = standin(id)
      if (!info) throw new Error(`There is no stand-in "${id}".`)
      return openStandin(
        info,
        release,
        recordsOf(id as SourceId, release as Release),
        vocabularyOf(id as SourceId),
      )
    })
  const sources: Partial<OpenSources> = {
    ...openedSources({
      source,
      finder: (key) => once(finders, key, () => recordFinder(source(key).records)),
      cache: (key) => once(caches, key, () => new Map()),
      spellings: () =>
        spellingPairs({ color: 'colour', behavior: 'behaviour' }, { colour: 'color', behaviour: 'behavior' }),
    }),
    facets: async (key) => once(facets, key, () => facetIndex(source(key).records)),
    behind: async (key) => (key.startsWith('file:') ? undefined : source(key)),
    thesaurus: async (key) => (key.startsWith('file:') ? files.get(key) : source(key).thesaurus),
    has: (key) => files.has(key),
    hand: (key, thesaurus) => {
      files.set(key, thesaurus)
    },
  }
  return sources as OpenSources
}
