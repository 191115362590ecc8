/** What the account of the demo is read from, with what its terms yield. */
import { tell, termYields } from '../figures'
import { gather } from '../records'
import { fold, besideOf, worksOf } from '../review'
import { builtDemo } from '../../standins/built-demo.fixture'
import { LATEST, releaseWords, STANDINS } from '../../standins'
import { PROFILES } from '../../standins/profiles'
import type { FactContext } from './facts'

let made: Promise<FactContext> | undefined

/** Made once: it takes some seconds. */
export function demoContext(): Promise<FactContext> {
  return (made ??= make())
}

async function make(): Promise<FactContext> {
  const { entries, blobs } = builtDemo()
  const value = (digest: string): unknown => JSON.parse(new TextDecoder().decode(blobs.get(digest)))
  const { review } = fold(entries, await besideOf(entries, async (digest) => blobs.get(digest)))
  const works = worksOf(
    review,
    (i) => gather(i, value),
    (digest) => value(digest) as number[],
  )
  return {
    review,
    figures: tell(review, works).figures,
    entries,
    yields: termYields(review, works.works),
    source: (id) => {
      const standin = STANDINS.find((s) => s.id === review.sources.find((x) => x.id === id)?.profileId)
      return (
        standin && {
          release: releaseWords(LATEST),
          releaseWords,
          hasVocabulary: standin.vocabularyTitle !== undefined,
          short: standin.short,
          profile: PROFILES[standin.id],
        }
      )
    },
  }
}
