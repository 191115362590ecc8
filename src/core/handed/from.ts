import {
  referencedWorks,
  withWorks,
  type AppendixContext,
  type DocumentTree,
  type FactContext,
  type Referenced,
  type SourceFacts,
} from '../account'
import { judgedWorks, noticesIn, termYields } from '../figures'
import type { Rasteriser } from '../picture'
import type { Rec, Reference } from '../records'
import type { Source } from '../review'
import { flowWords } from '../selection'
import type { ReadReview } from './read-review'

/** A review with all that is read to make files of it for people. */
export interface HandedFrom extends Omit<ReadReview, 'beside'> {
  source: (sourceId: string) => SourceFacts | undefined
  /** A name of a source that is short enough for a figure. */
  short: (source: Source) => string
  /** The vocabularies of invented databases that the plan names: what each is called, its file, and what stands in it. */
  vocabularies: readonly { title: string; file: string; turtle: string }[]
  /** References to records in a style, in their order. */
  cite: (records: readonly Rec[]) => Reference[]
  drawing: Rasteriser
  /** The section as Word; handed in, for what writes it is large. */
  word: (tree: DocumentTree) => Promise<Uint8Array>
}

/** What the account is read from: with the yield of each term, counted over the works. */
export function factContextOf(
  from: Omit<HandedFrom, 'drawing' | 'word' | 'short' | 'cite' | 'vocabularies'>,
): FactContext {
  const { review, entries, works, told, source, textsMissing } = from
  return {
    review,
    figures: told.figures,
    entries,
    // Without abstracts a term would seem to find less than it did: then nothing is said of what it found.
    yields: textsMissing ? new Map() : termYields(review, works.works),
    source,
  }
}

/** The same with what appendices need: works as references, and the flow as a figure. */
export function appendixContextOf(
  from: Omit<HandedFrom, 'drawing' | 'word' | 'vocabularies'>,
): AppendixContext {
  const { review, works, told, cite, short } = from
  const records = new Map(works.works.map((w) => [w.id, w.record]))
  const { included, excluded } = judgedWorks(review, told.ruled)
  const { on } = noticesIn(works, review.related)
  const noticesOn = (id: string): Rec[] => (on.get(id) ?? []).flatMap((notice) => records.get(notice) ?? [])
  const cited = (ids: readonly string[]): Referenced[] => {
    const own = ids.flatMap((id) => (records.has(id) ? [{ id, record: records.get(id)! }] : []))
    return own.length ? referencedWorks(own, cite(own.map((w) => w.record)), noticesOn) : []
  }
  return withWorks(
    factContextOf(from),
    cited(included),
    cited(excluded.map((e) => e.id)),
    excluded,
    flowWords(review, short),
  )
}
