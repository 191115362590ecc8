import { foldLabel, hasErrors } from '@/core/base'
import { EMPTY, evaluate, intersect, mergeForms, wordForms, type DocSet } from '@/core/engine'
import { inFields, isMasked, parse, type Expr } from '@/core/query'
import { findRecord } from '@/core/records'
import {
  adviseStem,
  harvestSource,
  Lexicon,
  rankHarvest,
  togetherOf,
  variantsOf,
  type Harvested,
  type StemAdvice,
  type Together,
  type Variant,
} from '@/core/strategy'
import type { OpenStandin } from '@/standins'
import { asksOnce } from './data/asks-once'
import { readData } from './data/data-door'
import { SYNONYMS } from './data/data-files'
import { conceptOf } from './harvest-concept'
import { isName, namesOf } from './named-words'
import type { OpenSources } from './open-sources'

/** Hits in title, abstract and keywords over all sources asked, and those of them near the rest of the plan. */
export interface Weight {
  hits: number
  near: number
}
export type Weighed<T> = T & Weight

export interface WeighedSense {
  broader: string
  words: Weighed<{ text: string }>[]
}

/** What there is to know of a text word before it is taken. */
export interface WordReport {
  /** By source, in the order asked. */
  counts: { sourceId: string; hits: number }[]
  total: Weight
  /** For a word with signs. */
  stem: StemAdvice | undefined
  variants: Weighed<Variant>[]
  together: Weighed<Together>[]
  senses: WeighedSense[]
}

/** A concept's terms as one expression for each stand-in. */
export interface ConceptTerms {
  id: string
  /** Plain notation by stand-in; what is empty finds nothing. */
  text: Record<string, string>
  /** The folded words of its terms and its name that say something by themselves. */
  words: string[]
}

export interface HarvestOffer extends Harvested {
  /** The concept with whose records it goes together most. */
  conceptId: string | undefined
}

/** Weighs words in the stand-ins, finds known items, harvests good records. */
export class WordDesk {
  constructor(private readonly sources: OpenSources) {}

  /** What a text word finds and how else it could be said. `near` is the rest of the plan in plain notation, or empty. */
  async weigh(ids: string[], text: string, near: string): Promise<WordReport | undefined> {
    const { tree, problems } = parse(text)
    if (!tree || hasErrors(problems)) return undefined
    const places = (await Promise.all(ids.map((id) => this.sources.source(id)))).map(
      (source) => new Place(source, near),
    )
    const weigh = (e: Expr): Weight => places.reduce((sum, p) => add(sum, p.weigh(e)), { hits: 0, near: 0 })
    const weighed = <T extends { text: string }>(list: readonly T[]): Weighed<T>[] =>
      list.map((one) => ({ ...one, ...weigh(parse(one.text).tree!) }))
    const isWord = (word: string): boolean =>
      places.some(({ source: { index } }) => index.termsFor(word).length > 0)
    const whole = weigh(tree)
    const senses = (await this.words()).senses(text.replace(/"/g, '').toLowerCase())
    return {
      counts: places.map((p) => ({ sourceId: p.source.info.id, hits: p.weigh(tree).hits })),
      total: whole,
      stem:
        tree.kind === 'word' && isMasked(tree.text)
          ? adviseStem(tree.text, (mask) =>
              mergeForms(places.map((p) => wordForms(p.source.index, mask, p.near))),
            )
          : undefined,
      variants: weighed(variantsOf(tree, await this.sources.spellings(), isWord)).filter(
        (v) => v.hits > 0 && (v.kind !== 'any ending' || v.hits > whole.hits),
      ),
      together: weighed(togetherOf(tree)),
      senses: senses
        .map(({ broader, words }) => ({
          broader,
          words: weighed(
            words.map((w) => ({ text: w.includes(' ') ? `"${w}"` : w })).filter((w) => parse(w.text).tree),
          )
            .filter((w) => (whole.near ? w.near : w.hits) > 0)
            .sort((a, b) => b.near - a.near || b.hits - a.hits)
            .slice(0, 6),
        }))
        .filter((s) => s.words.length)
        .sort((a, b) => near2(b) - near2(a))
        .slice(0, 4),
    }
  }

  /** Which of these works a stand-in holds: the record's number in it, and by what it was known. */
  async holds(
    id: string,
    items: { id: string; title: string; year?: number; doi?: string }[],
  ): Promise<{ itemId: string; doc: number; recordId: string; title: string; by: 'DOI' | 'title' }[]> {
    const finder = await this.sources.finder(id)
    return items.flatMap((item) => {
      const found = findRecord(finder, item)
      if (!found) return []
      const { id: recordId, title } = finder.records[found.record]!
      return [{ itemId: item.id, doc: found.record, recordId, title, by: found.by }]
    })
  }

  /**
   * What stands out in the good records of these stand-ins, each offer with the concept whose records it shares most.
   * What a concept's terms already find whole is left out.
   */
  async harvest(
    good: Record<string, string[]>,
    concepts: ConceptTerms[],
  ): Promise<{ offers: HarvestOffer[]; records: number }> {
    const places = await Promise.all(
      Object.entries(good).map(async ([id, recordIds]) => {
        const source = await this.sources.source(id)
        const wanted = new Set(recordIds)
        const docs = source.records.flatMap((r, doc) => (wanted.has(r.id) ? [doc] : []))
        const sets = concepts.map((c) => docsOf(source, c.text[id] ?? ''))
        return { id, source, docs: Uint32Array.from(docs) as DocSet, sets }
      }),
    )
    // A work that several sources hold counts once; the first source that was asked shows it.
    const seen = new Set<string>()
    const harvests = places.map(({ id, source, docs }) => {
      const fresh = docs.filter((doc) => {
        const { doi } = source.records[doc]!
        const known = doi !== undefined && seen.has(doi.toLowerCase())
        if (doi !== undefined) seen.add(doi.toLowerCase())
        return !known
      })
      return harvestSource(id, source.index, (doc) => source.records[doc]!, docs, fresh)
    })
    const called = new Set(
      places.flatMap(({ source, docs }) => [...docs].flatMap((doc) => namesOf(source, doc))),
    )
    const offers: HarvestOffer[] = []
    for (const offer of rankHarvest(harvests, 120)) {
      const at = harvests.flatMap((h, n) => {
        const own = h.counts.find(
          (c) => c.text === offer.text && (offer.sourceId === undefined || offer.sourceId === h.sourceId),
        )
        return own ? [{ place: places[n]!, docs: own.docs }] : []
      })
      // Loose words tell nothing: what is offered is what something is called.
      const sources = places.map((p) => p.source)
      const folded = foldLabel(offer.text)
      if (offer.kind !== 'heading' && !(called.has(folded) && isName(folded, sources))) continue
      const size = at.reduce((n, p) => n + p.docs.length, 0)
      const whole = concepts.some(
        (_, k) => at.reduce((n, p) => n + intersect(p.docs, p.place.sets[k]!).length, 0) === size,
      )
      if (whole) continue
      offers.push({ ...offer, conceptId: conceptOf(offer, concepts, sources) })
      if (offers.length === 40) break
    }
    return { offers, records: places.reduce((n, p) => n + p.docs.length, 0) }
  }

  private readonly words = asksOnce(() => readData(SYNONYMS, (text) => new Lexicon(text)))
}

const add = (a: Weight, b: Weight): Weight => ({ hits: a.hits + b.hits, near: a.near + b.near })
const near2 = (s: WeighedSense): number => s.words.reduce((n, w) => n + w.near, 0)

function docsOf(source: OpenStandin, text: string): DocSet {
  const { tree, problems } = parse(text)
  return tree && !hasErrors(problems) ? evaluate(source.index, tree, source.options).docs : EMPTY
}

/** A stand-in with the records near the rest of the plan. */
class Place {
  readonly near: DocSet

  constructor(
    readonly source: OpenStandin,
    near: string,
  ) {
    this.near = docsOf(source, near)
  }

  weigh(e: Expr): Weight {
    const { docs } = evaluate(this.source.index, inFields(['text'], e), this.source.options)
    return { hits: docs.length, near: intersect(docs, this.near).length }
  }
}
