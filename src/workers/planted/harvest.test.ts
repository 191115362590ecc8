import { describe, expect, it } from 'vitest'
import { foldLabel } from '@/core/base'
import { evaluate, intersect } from '@/core/engine'
import { inFields, or, phrase, print, word, type Expr } from '@/core/query'
import { TOPICS } from '@/standins/corpus/corpus'
import type { Item, Topic } from '@/standins/corpus/topic'
import { openHere } from '../open-here'
import { WordDesk, type ConceptTerms } from '../word-desk'

const sources = openHere()
const desk = new WordDesk(sources)
const INDEXES = ['fernhollow', 'girder', 'mindmere'] as const

const said = (text: string): Expr => {
  const words = foldLabel(text).split(' ')
  return words.length === 1 ? word(words[0]!) : phrase(...words)
}
/** What somebody plans who knows one or two words for each side of the question. */
const planOf = (items: readonly Item[]): Expr =>
  inFields(['text'], or(...[...new Set(items.slice(0, 2).map((i) => i.keywords[0]!))].map(said)))
/** Whatever a topic's own grammar calls a side of it: keywords and headings of its items. */
const namesOf = (items: readonly Item[]): Set<string> =>
  new Set(items.flatMap((i) => [...i.keywords, ...INDEXES.flatMap((x) => i.headings[x])]).map(foldLabel))

/** Harvests `goods` good records a topic, and holds each offer against the grammar that wrote the records. */
async function harvested({ exposures, outcomes }: Topic, goods: number) {
  const sides = { b: exposures, c: outcomes }
  const concepts = Object.entries(sides).map(([id, items]): ConceptTerms => ({
    id,
    text: Object.fromEntries(INDEXES.map((x) => [x, print(planOf(items))])),
    words: items.slice(0, 2).flatMap((i) => foldLabel(i.keywords[0]!).split(' ')),
  }))
  const good: Record<string, string[]> = {}
  let left = goods
  for (const id of INDEXES) {
    const { index, records } = await sources.source(id)
    const both = intersect(evaluate(index, planOf(exposures)).docs, evaluate(index, planOf(outcomes)).docs)
    good[id] = Array.from(both.slice(0, left), (doc) => records[doc]!.id)
    left -= good[id].length
  }
  if (left) return undefined
  const { offers } = await desk.harvest(good, concepts)
  const names = { b: namesOf(exposures), c: namesOf(outcomes) }
  return offers.slice(0, 15).map((o) => {
    const of = (['b', 'c'] as const).filter((k) => names[k].has(foldLabel(o.text)))
    return { useful: of.length > 0, told: o.conceptId, right: of.some((k) => k === o.conceptId) }
  })
}

describe('what is harvested from ten good records', () => {
  it('is what a topic calls its things, four times in five, with the right concept where one is said', async () => {
    const rows = []
    for (const topic of TOPICS) {
      const first = await harvested(topic, 10)
      if (first) rows.push({ id: topic.id, first })
    }
    const all = rows.flatMap((r) => r.first)
    const useful = all.filter((o) => o.useful)
    const told = useful.filter((o) => o.told !== undefined)
    expect(rows.length).toBeGreaterThan(30)
    expect(all.length / rows.length).toBeGreaterThanOrEqual(6)
    expect(useful.length / all.length).toBeGreaterThan(0.8)
    expect(told.filter((o) => o.right).length / told.length).toBeGreaterThan(0.9)
  })
})
