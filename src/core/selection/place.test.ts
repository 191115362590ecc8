import { inBuckets } from '../base'
import { describe, expect, it } from 'vitest'
import {
  drawFlow,
  faultsOf,
  flowOf,
  flowText,
  openMatters,
  placeOf as placeBy,
  rulesOf,
  readersOf,
  undecided,
  type TallyRow,
} from '.'
import type { WorkRuling } from '../review'
import type { OwnRulings, SaidOfWork } from '.'

const placeOf = (own?: OwnRulings, said?: SaidOfWork, rules = rulesOf({})) => placeBy(own, said, rules)

const said = (
  ...all: [pass: 'broad' | 'close', reader: string, verdict: WorkRuling['verdict'], more?: object][]
) =>
  Object.fromEntries(
    all.map(([pass, reader, verdict, more]): [string, WorkRuling] => [
      `${pass}/${reader}`,
      { recordId: 'i/1', pass, reader, verdict, ...more },
    ]),
  )

describe('where a work is', () => {
  it('is one place only, kept while one reader wants it and left open while readers do not agree to set it aside', () => {
    expect(placeOf(undefined).place).toBe('unread')
    expect(placeOf(said(['broad', 'a', 'in'], ['broad', 'b', 'out']))).toMatchObject({
      place: 'to be sought',
      broad: { conflict: true },
    })
    expect(placeOf(said(['broad', 'a', 'out'], ['broad', 'b', 'unsure'])).place).toBe('open')
    expect(placeOf(said(['broad', 'b', 'out', { criterionId: 'c2' }], ['broad', 'a', 'out']))).toMatchObject({
      place: 'set aside',
      reason: 'c2',
    })
    expect(readersOf(inBuckets([['w', said(['broad', 'b', 'in'], ['close', 'a', 'in'])]]), 'broad')).toEqual([
      'b',
    ])
  })

  it('follows what was settled, what became of its full text, and the close pass only where it was kept', () => {
    const kept = said(['broad', 'a', 'in'])
    const retrieval = { recordId: 'i/1', state: 'not to be had' as const, why: 'no copy' }
    expect(placeOf(kept, { retrieval }).place).toBe('not had')
    expect(placeOf(said(['broad', 'a', 'in'], ['close', 'a', 'in']), { retrieval }).place).toBe('included')
    expect(placeOf(said(['broad', 'a', 'out'], ['close', 'a', 'in'])).place).toBe('set aside')
    const settled = {
      recordId: 'i/1',
      by: 'a',
      how: 'by talking',
      verdict: 'out' as const,
      reason: ' no room ',
    }
    expect(
      placeOf(said(['broad', 'a', 'in'], ['broad', 'b', 'out']), {
        settled: { broad: { ...settled, pass: 'broad' } },
      }),
    ).toMatchObject({ place: 'set aside', reason: 'words:no room', broad: { conflict: false } })
  })

  it('is before screening where it went out with others and nobody read it', () => {
    expect(placeOf(said(['broad', 'a', 'out', { unread: true, reason: 'no study' }])).place).toBe('removed')
    expect(placeOf(said(['broad', 'a', 'out', { unread: true }], ['broad', 'b', 'out'])).place).toBe(
      'set aside',
    )
  })
})

describe('a notice on another work', () => {
  it('is removed before screening for that reason, whatever was ruled of it', () => {
    const noticed = { noticeOf: 'i/9' }
    expect(placeOf(undefined, noticed)).toMatchObject({ place: 'removed', reason: 'notice' })
    expect(placeOf(said(['broad', 'a', 'in']), noticed).place).toBe('removed')
    expect(placeOf(said(['broad', 'a', 'in']), { notices: ['i/9'] }).place).toBe('to be sought')
  })
})

describe('a work that is ruled differently', () => {
  const differ = said(['broad', 'a', 'in'], ['broad', 'b', 'out'])
  const closeDiffer = said(
    ['broad', 'a', 'in'],
    ['close', 'a', 'in'],
    ['close', 'b', 'out', { reason: 'no room' }],
  )
  const first = { ...rulesOf({}), broad: 'settle first', close: 'settle first' } as const

  it('is neither in nor out where one settles first, and counts again as soon as somebody settles it', () => {
    expect(placeOf(differ, undefined, first)).toMatchObject({ place: 'to settle', broad: { conflict: true } })
    expect(placeOf(closeDiffer, undefined, first).place).toBe('close to settle')
    const settled = { recordId: 'i/1', by: 'c', how: 'by a third person', verdict: 'in' as const }
    expect(placeOf(differ, { settled: { broad: { ...settled, pass: 'broad' } } }, first)).toMatchObject({
      place: 'to be sought',
      broad: { conflict: false, settled: true },
    })
  })

  it('goes out where all have to agree', () => {
    expect(placeOf(differ, undefined, { ...first, broad: 'all agree' })).toMatchObject({
      place: 'set aside',
      broad: { conflict: true },
    })
    const unsure = said(['broad', 'a', 'in'], ['broad', 'b', 'unsure'])
    expect(placeOf(unsure, undefined, { ...first, broad: 'all agree' }).place).toBe('open')
  })

  it('has no one reason where all set it aside, each for another', () => {
    const kept = ['broad', 'a', 'in'] as const
    const out = said(
      [...kept],
      ['close', 'a', 'out', { criterionId: 'c1' }],
      ['close', 'b', 'out', { reason: 'x' }],
    )
    expect(placeOf(out, undefined, first)).toMatchObject({
      place: 'out',
      reason: 'differ',
      close: { reasonsDiffer: true, conflict: false },
    })
    const alike = said([...kept], ['close', 'a', 'out', { criterionId: 'c1' }], ['close', 'b', 'out'])
    expect(placeOf(alike, undefined, first)).toMatchObject({ reason: 'c1', close: { reasonsDiffer: false } })
  })
})

describe('a flow', () => {
  const row = (place: TallyRow['place'], count: number, reason?: string): TallyRow => ({
    roundId: undefined,
    column: 'databases',
    place,
    reason,
    count,
  })
  const flow = flowOf(
    [
      { roundId: undefined, column: 'databases', sourceId: 's', count: 60, here: 60 },
      { roundId: undefined, column: 'databases', sourceId: 't', count: 40, here: 38 },
    ],
    [
      row('removed', 3, 'words:no study'),
      row('set aside', 40, 'c1'),
      row('not had', 2),
      row('sought', 1),
      row('out', 4, 'c2'),
      { ...row('out', 3, 'c3'), noText: true },
      row('out', 2, 'c3'),
      row('included', 10),
      { ...row('included', 1), noText: true },
      row('unread', 4),
    ],
    10,
  )
  const column = flow.rounds[0]!.columns[0]!

  it('has the sums of PRISMA 2020', () => {
    expect(column).toMatchObject({
      identified: 100,
      missing: 2,
      duplicates: 28,
      works: 70,
      removed: 3,
      screened: 63,
      sought: 23,
      assessed: 20,
      out: 9,
      outReasons: [
        { reason: 'c3', count: 5 },
        { reason: 'c2', count: 4 },
      ],
      included: 11,
    })
    expect(undecided(column)).toBe(5)
    expect([flow.included, flow.studies]).toEqual([11, 10])
    expect(faultsOf(column)).toEqual([])
  })

  it('is told in words and drawn, each box with its number, and never drawn where it does not add up', () => {
    const words = { sourceOf: (id: string) => `from ${id}`, reasonOf: (r: string) => `because ${r}` }
    const text = flowText(flow, words)
    expect(text).toBe(
      'Databases: 100 records identified (60 from s; 40 from t); 2 whose records are not here; 28 described a work already found; 3 removed before screening (3 because words:no study); 4 not read yet; 63 titles and abstracts read; 40 set aside; 23 full texts to be sought; 2 not to be had; 1 awaited or unread; 20 full texts read (4 without a text noted); 9 set aside (5 because c3; 4 because c2).\n11 works included, reports of 10 studies.',
    )
    const svg = drawFlow(flow, words)
    for (const part of ['100 records identified', '9 set aside', '11 works included'])
      expect(svg).toContain(`>${part}<`)
    const wrong = { ...flow, rounds: [{ ...flow.rounds[0]!, columns: [{ ...column, sought: 24 }] }] }
    expect(() => drawFlow(wrong, words)).toThrow(/does not add up: works screened/)
    expect(openMatters(flow)).toEqual({ faults: [], undecided: 5 })
  })

  it('of an update has earlier rounds as one box, or in full where that is asked', () => {
    const words = { sourceOf: (id: string) => `from ${id}`, reasonOf: (r: string) => `because ${r}` }
    const updated = flowOf(
      [
        { roundId: undefined, column: 'databases', sourceId: 's', count: 60, here: 60 },
        { roundId: 'r2', column: 'databases', sourceId: 's', count: 9, here: 9 },
      ],
      [row('included', 11), row('set aside', 40), { ...row('unread', 7), roundId: 'r2' }],
      11,
    )
    expect(flowText(updated, words)).toBe(
      'Before the update: 11 works included by the first search.\nDatabases, update: 9 records identified (9 from s); 2 described a work already found; 7 not read yet.\n11 works included.',
    )
    expect(flowText(updated, words, true)).toContain('Databases, first search: 60 records identified')
    expect(drawFlow(updated, words)).toContain('>11 works included by the first')
    expect(drawFlow(updated, words)).not.toContain('>60 records identified<')
  })

  it('is read in eight points across a page, however many columns it has', () => {
    const words = { sourceOf: (id: string) => `from ${id}`, reasonOf: (r: string) => `because ${r}` }
    const many = flowOf(
      (['databases', 'registers', 'other'] as const).flatMap((column) =>
        [undefined, 'r2'].map((roundId) => ({ roundId, column, sourceId: column, count: 30, here: 30 })),
      ),
      (['databases', 'registers', 'other'] as const).flatMap((column) => [
        { ...row('included', 11), column },
        { ...row('set aside', 19), column },
        { ...row('unread', 30), column, roundId: 'r2' },
      ]),
      33,
    )
    for (const whole of [false, true]) {
      const svg = drawFlow(many, words, whole)
      const width = Number(/width="(\d+)"/.exec(svg)![1])
      // A page across has 698 points between its margins.
      for (const [, size] of svg.matchAll(/font-size="([\d.]+)"/g))
        expect((Number(size) * 698) / width).toBeGreaterThan(8)
      for (const title of ['Databases', 'Registers', 'Other ways']) expect(svg).toContain(`>${title}`)
    }
  })

  it('says what does not add up', () => {
    expect(faultsOf({ ...column, sought: 24 })).toEqual([
      'works screened: 63, and 64 in parts',
      'full texts to be sought: 24, and 23 in parts',
    ])
  })
})
