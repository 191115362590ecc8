import { beforeAll, describe, expect, it, vi } from 'vitest'
import { gzipSync, strToU8 } from 'fflate'
import { lexiconText } from '@/core/strategy'
import { openHere } from './open-here'
import { WordDesk } from './word-desk'

const sources = openHere()
const desk = new WordDesk(sources)

// Two senses in the form of the dictionary's own files; the words themselves are common English.
const DICTIONARY = lexiconText([
  '00000001 04 n 02 noise 0 racket 0 000 | sound that nobody wants\n00000002 04 n 02 pupil 0 schoolchild 0 000 | one who learns at school\n',
])
beforeAll(() => {
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(gzipSync(strToU8(DICTIONARY)) as BodyInit)))
})

describe('weighing a word', () => {
  it('counts it in every source that is asked, and near the rest of the plan', async () => {
    const report = (await desk.weigh(['fernhollow', 'girder'], 'noise', 'text: reading'))!
    expect(report.counts.map((c) => c.sourceId)).toEqual(['fernhollow', 'girder'])
    expect(report.total.hits).toBe(report.counts.reduce((n, c) => n + c.hits, 0))
    expect(report.total.near).toBeGreaterThan(0)
    expect(report.total.near).toBeLessThan(report.total.hits)
    expect(report.stem).toBeUndefined()
  })

  it('tells what a stem matches, with the forms of all sources together', async () => {
    const report = (await desk.weigh(['fernhollow', 'mindmere'], 'listen*', ''))!
    const forms = report.stem!.forms.map((f) => f.form)
    expect(forms).toEqual(expect.arrayContaining(['listening', 'listeners']))
    expect(new Set(forms).size).toBe(forms.length)
  })

  it('offers only variants and synonyms that occur', async () => {
    const report = (await desk.weigh(['fernhollow'], 'noise', ''))!
    for (const v of [...report.variants, ...report.senses.flatMap((s) => s.words)])
      expect(v.hits).toBeGreaterThan(0)
  })

  it('gives nothing for what cannot be read', async () => {
    expect(await desk.weigh(['fernhollow'], 'noise AND (', '')).toBeUndefined()
  })
})

describe('known items and harvest', () => {
  it('finds which of these works a source holds, by DOI first, else by title', async () => {
    const { records } = await sources.source('fernhollow')
    const [byDoi, byTitle] = [
      records.find((r) => r.doi)!,
      records.find((r) => r.title.split(' ').length > 5)!,
    ]
    const held = await desk.holds('fernhollow', [
      { id: 'one', title: 'another title altogether', doi: byDoi.doi! },
      { id: 'two', title: byTitle.title.toUpperCase(), year: byTitle.year! },
      { id: 'three', title: 'What nobody ever wrote about anything' },
    ])
    expect(held.map((h) => [h.itemId, h.recordId, h.by])).toEqual([
      ['one', byDoi.id, 'DOI'],
      ['two', byTitle.id, 'title'],
    ])
  })

  it('harvests what good records have more often than others, and leaves out what the plan finds whole', async () => {
    const { records } = await sources.source('fernhollow')
    const good = records.filter((r) => /noise/i.test(r.title) && r.headings.length).slice(0, 40)
    const concepts = [{ id: 'b', text: { fernhollow: 'text: noise' }, words: ['noise'] }]
    const { offers, records: n } = await desk.harvest({ fernhollow: good.map((r) => r.id) }, concepts)
    expect(n).toBe(40)
    expect(offers.length).toBeGreaterThan(3)
    for (const o of offers) {
      expect(o.good / o.goods).toBeGreaterThan(o.rest / o.rests)
      expect(o.g2).toBeGreaterThan(o.kind === 'words' ? 10 : 3.8)
    }
    expect(offers.map((o) => o.text)).not.toContain('noise')
    expect((await desk.harvest({ fernhollow: [] }, concepts)).offers).toEqual([])
  })
})
