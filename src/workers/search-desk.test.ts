import { describe, expect, it } from 'vitest'
import type { LimitValue } from '@/core/query'
import { facetValues } from '@/core/records'
import type { LineLike } from '@/core/strategy'
import { openHere } from './open-here'
import { SearchDesk } from './search-desk'

const sources = openHere()
const desk = new SearchDesk(sources)
const line = (id: string, text: string, limits: LimitValue[] = []): LineLike => ({ id, text, limits })
const YEARS: LimitValue = { kind: 'years', from: 2017, to: 2026 }
const ENGLISH: LimitValue = { kind: 'language', values: ['en'] }
const LINES = [line('a', 'text: noise'), line('b', 'text: reading'), line('c', '#1 AND #2')]

describe('running lines', () => {
  it('answers every line with its hits and the text that was sent', async () => {
    const answers = await desk.run('fernhollow', LINES)
    expect(answers.map((a) => a.sent)).toEqual(['tak{noise}', 'tak{reading}', 'L1 and L2'])
    expect(answers[2]!.hits).toBeGreaterThan(0)
    expect(answers[2]!.hits).toBeLessThan(answers[0]!.hits!)
    expect(await desk.size('fernhollow')).toBeGreaterThan(answers[0]!.hits!)
  })

  it('gives no hits for a line that cannot be run, and says why', async () => {
    const [bad, needs, told] = await desk.run('fernhollow', [
      line('a', 'noise AND ('),
      line('b', '#1'),
      { ...line('c', ''), described: 'browsed a journal' },
    ])
    expect([bad!.hits, needs!.hits, told!.hits]).toEqual([undefined, undefined, undefined])
    expect(bad!.problems.some((p) => p.severity === 'error')).toBe(true)
    expect(needs!.problems[0]!.message).toContain('Line 1')
    expect(told).toMatchObject({ sent: 'browsed a journal', problems: [{ severity: 'note' }] })
  })

  it('stops where it is told to, with the answers of what was done before', async () => {
    const many = Array.from({ length: 400 }, (_, i) => line(`l${i}`, `text: (noise OR reading OR word${i}*)`))
    const asked: [number, number][] = []
    const answers = await desk.run('fernhollow', many, (done, of) => {
      asked.push([done, of])
      return false
    })
    expect(answers.length).toBeGreaterThan(0)
    expect(answers.length).toBeLessThan(many.length)
    expect(asked).toEqual([[answers.length, 400]])
  })

  it('finds the same in a release whether or not another was searched before', async () => {
    const [march] = await desk.run(
      'fernhollow@2026-03',
      [LINES[2]!].map(() => line('x', 'text: noise AND text: reading')),
    )
    const [now] = await desk.run('fernhollow', [line('x', 'text: noise AND text: reading')])
    expect(march!.hits).toBe(136)
    expect(now!.hits).toBe(148)
  })

  it('counts one expression as the source understands it, and nothing where it cannot be read', async () => {
    expect(await desk.count('fernhollow', 'text: noise')).toBe((await desk.run('fernhollow', LINES))[0]!.hits)
    expect(await desk.count('fernhollow', 'noise AND (')).toBeUndefined()
  })
})

describe('what a limit costs', () => {
  it('is counted alone and after those before it, with the known items that it alone loses', async () => {
    const source = await sources.source('fernhollow')
    const found = (await desk.records('fernhollow', LINES, 'c')).records
    const old = found.filter((r) => r.year! < 2017).map((r) => r.id)
    const costs = await desk.costs(
      'fernhollow',
      LINES,
      'c',
      [YEARS, ENGLISH],
      [old[0]!, found.find((r) => r.year! > 2016)!.id],
    )
    const alone = found.filter((r) => r.year! >= 2017)
    const both = alone.filter((r) => r.language === 'en')
    expect(source.records.length).toBeGreaterThan(found.length)
    expect(costs).toMatchObject({
      before: found.length,
      limits: [
        { kind: 'years', alone: alone.length, after: alone.length, lost: [old[0]] },
        { kind: 'language', alone: found.filter((r) => r.language === 'en').length, after: both.length },
      ],
    })
  })

  it('is not counted for a limit that the source has not', async () => {
    const { limits } = await desk.costs('wideband', [line('a', 'noise')], 'a', [ENGLISH, YEARS], [])
    expect(limits[0]).toMatchObject({ kind: 'language', alone: undefined })
    expect(limits[1]!.alone).toBeGreaterThan(0)
  })
})

describe('a look at a line', () => {
  it('orders as asked, shows what is left with the chosen facets, and counts what each would leave', async () => {
    const all = await desk.peek('fernhollow', LINES, 'c', 'newest', {})
    expect(all.hits).toBe(148)
    const years = all.records.map((r) => r.year!)
    expect(years).toEqual([...years].sort((a, b) => b - a))
    const [heading] = all.facets.heading.values
    const chosen = { heading: [heading!.value] }
    const some = await desk.peek('fernhollow', LINES, 'c', 'title', chosen)
    expect(some).toMatchObject({ hits: 148, left: heading!.count })
    for (const r of some.records) expect(facetValues(r, 'heading')).toContain(heading!.value)
    const titles = some.records.map((r) => r.title)
    expect(titles).toEqual([...titles].sort((a, b) => (a < b ? -1 : 1)))
  })

  it('puts first by relevance what has the words in its title', async () => {
    const { records } = await desk.peek('fernhollow', LINES, 'c', 'relevance', {})
    expect(records.slice(0, 5).every((r) => /noise|reading/i.test(r.title))).toBe(true)
  })

  it('is empty for a line that cannot be run', async () => {
    expect(await desk.peek('fernhollow', [line('a', '(')], 'a', 'newest', {})).toMatchObject({
      hits: 0,
      records: [],
    })
  })
})

describe('records handed out', () => {
  it('are the newest first, and no more than the source hands out', async () => {
    const { records, hits } = await desk.records('quayside', [line('a', 'school')], 'a')
    expect(hits).toBeGreaterThan(500)
    expect(records).toHaveLength(500)
    expect(records[0]!.year).toBeGreaterThanOrEqual(records[499]!.year!)
  })
})

describe('a line asked again', () => {
  const asked = (key: string, text: string) => ({ key, lines: [line('x', text)], lineId: 'x' })

  it('has new records and misses withdrawn ones in the later release; the sums add up', async () => {
    const text = 'text: noise AND text: reading'
    const again = await desk.again(asked('fernhollow@2026-03', text), asked('fernhollow', text))
    expect(again).toMatchObject({ before: 136, after: 148, foundNow: [], lostNow: [] })
    expect(again.withdrawn).toHaveLength(1)
    expect(again.both + again.withdrawn.length).toBe(again.before)
    expect(again.both + again.added.length).toBe(again.after)
    const held = new Set((await sources.source('fernhollow@2026-03')).records.map((r) => r.id))
    expect(again.added.every((r) => !held.has(r.id))).toBe(true)
  })

  it('tells what other words find from what the database added', async () => {
    const again = await desk.again(
      asked('fernhollow', 'text: noise'),
      asked('fernhollow', 'text: (noise OR babble) NOT text: music'),
    )
    expect(again.added).toEqual([])
    expect(again.withdrawn).toEqual([])
    expect(again.foundNow.length).toBeGreaterThan(0)
    expect(again.lostNow.length).toBeGreaterThan(0)
  })
})
