import { strToU8 } from 'fflate'
import { describe, expect, it } from 'vitest'
import { openHere } from './open-here'
import { VocabularyDesk } from './vocabulary-desk'

const sources = openHere()
const desk = new VocabularyDesk(sources)
const neighbourhood = async (label: string) =>
  (await desk.neighbourhood('fernhollow', (await desk.idOf('fernhollow', label))!))!

describe('reading a vocabulary beside its records', () => {
  it('leads from an entry term to its heading, with how many records have it', async () => {
    const [first] = await desk.lookUp('girder', 'echo time')
    expect(first).toMatchObject({ label: 'Reverberation time' })
    const { index } = await sources.source('girder')
    expect(first!.alone).toBe(index.headingDocs(['reverberation time'], false).length)
    expect(first!.withNarrower).toBeGreaterThanOrEqual(first!.alone!)
  })

  it('shows a heading among its neighbours, and what each related one would add', async () => {
    const around = await neighbourhood('Classroom sound')
    expect(around.counted.label).toBe('Classroom sound')
    expect(around.narrower.length).toBeGreaterThan(0)
    expect(around.below).toBeGreaterThanOrEqual(around.narrower.length)
    expect(around.main).toBeLessThanOrEqual(around.counted.alone!)
    for (const n of around.narrower) expect(n.withNarrower).toBeLessThanOrEqual(around.counted.withNarrower!)
    for (const r of around.related) {
      expect(r.adds).toBeGreaterThanOrEqual(0)
      expect(r.adds).toBeLessThanOrEqual(r.alone!)
    }
    expect(await desk.neighbourhood('fernhollow', 'nothing')).toBeUndefined()
  })

  it('unfolds the tree on the way down to a heading, and nowhere else', async () => {
    const id = (await desk.idOf('fernhollow', 'Classroom sound'))!
    const rows = await desk.tree('fernhollow', id)
    const at = rows.findIndex((r) => r.self)
    expect(rows[at]!.label).toBe('Classroom sound')
    const [way = []] = (await neighbourhood('Classroom sound')).paths
    expect(rows.filter((r) => r.open).map((r) => r.label)).toEqual([
      ...way.map((w) => w.label),
      'Classroom sound',
    ])
    expect(rows.filter((r) => r.depth === 0).map((r) => r.id)).toEqual(
      (await desk.tops('fernhollow')).map((t) => t.id),
    )
    expect(await desk.tree('fernhollow', 'nothing')).toEqual([])
  })

  it('finds in the other vocabulary what shares a label, an entry term, words or records, with the reason', async () => {
    const id = (await desk.idOf('fernhollow', 'Classroom sound'))!
    const matches = await desk.matches('fernhollow', id, 'girder')
    expect(matches.length).toBeGreaterThan(0)
    expect(matches.length).toBeLessThanOrEqual(4)
    for (const m of matches) expect(m.reasons.length).toBeGreaterThan(0)
    expect(matches.flatMap((m) => m.reasons.map((r) => r.kind))).toContain('shared records')
    expect(await desk.matches('fernhollow', id, 'wideband')).toEqual([])
  })

  it('offers phrases of a question that lead to headings, in the order of the question', async () => {
    const question = 'Does noise in class bear on listening comprehension?'
    const found = await desk.suggestions(question, ['fernhollow', 'girder', 'wideband'])
    expect(found.map((s) => s.text.toLowerCase())).toEqual(
      expect.arrayContaining(['noise', 'listening comprehension']),
    )
    for (const s of found) expect(question.slice(s.start, s.end)).toBe(s.text)
    expect(found.map((s) => s.start)).toEqual([...found.map((s) => s.start)].sort((a, b) => a - b))
  })

  it('has nothing to say where a source has no vocabulary', async () => {
    expect(await desk.lookUp('wideband', 'noise')).toEqual([])
    expect(await desk.tops('wideband')).toEqual([])
    expect(await desk.idOf('wideband', 'noise')).toBeUndefined()
  })
})

describe('a vocabulary from a file', () => {
  const LIST = 'Sound\n  Noise\n    Traffic noise\n  Music\nReading\n'

  it('is told apart, counted, and can be read at once, without records beside it', async () => {
    const examined = await desk.examine('file:one', strToU8(LIST), 'terms of a colleague.txt')
    expect(examined).toMatchObject({
      ok: true,
      format: 'term list',
      title: 'terms of a colleague',
      headings: 5,
      levels: 3,
      tops: ['Reading', 'Sound'],
    })
    expect(desk.has('file:one')).toBe(true)
    const [noise] = await desk.lookUp('file:one', 'noise')
    expect(noise).toMatchObject({ label: 'Noise', alone: undefined, withNarrower: undefined })
    expect(await desk.foldedLabels('file:one', 'Noise', true)).toEqual(['noise', 'traffic noise'])
  })

  it('is refused with words where it holds no vocabulary, and is not kept', async () => {
    for (const text of [
      '<html><body>Not found</body></html>',
      '<!DOCTYPE html>\n<title>Terms</title>',
      '{"a": 1',
      '',
    ]) {
      const examined = await desk.examine('file:two', strToU8(text), 'x.rdf')
      expect(examined.ok, text).toBe(false)
      expect(examined.problems[0]!.message.length).toBeGreaterThan(10)
      expect(desk.has('file:two')).toBe(false)
    }
  })
})
