import { describe, expect, it } from 'vitest'
import { foldLabel } from '@/core/base'
import type { PlanTerm } from '@/core/strategy'
import { profileOf, STANDINS } from '@/standins'
import { JudgeDesk, type JudgedPlan, type JudgedSearch, type PlannedLine } from './judge-desk'
import { openHere } from './open-here'

const sources = openHere()
const desk = new JudgeDesk(sources)
const term = (
  id: string,
  conceptId: string,
  expression: string,
  kind: PlanTerm['kind'] = 'text',
): PlanTerm & { id: string } => ({
  id,
  conceptId,
  sourceId: kind === 'text' ? 'all' : 'mine',
  kind,
  expression,
  withNarrower: false,
  mainFocus: false,
  status: 'in use',
})
const PLAN: JudgedPlan = {
  concepts: [
    { id: 'b', letter: 'B', name: 'Sound', essential: true },
    { id: 'c', letter: 'C', name: 'Outcome', essential: true },
  ],
  terms: [
    term('noise', 'b', 'noise'),
    term('babble', 'b', 'babble'),
    term('sound', 'b', 'Classroom sound', 'heading'),
    term('reading', 'c', 'reading'),
  ],
  limits: [],
}
const LINES: PlannedLine[] = [
  { id: '1', text: 'text: (noise OR babble)', limits: [], conceptId: 'b' },
  { id: '2', text: 'text: reading', limits: [], conceptId: 'c' },
  { id: '3', text: 'all(#1-#2)', limits: [] },
]
const NOBODY = { known: [], in: [], out: [] }
/** These lines in one stand-in, with what else is given. */
const search = (given: Partial<JudgedSearch> = {}): JudgedSearch => ({
  key: 'fernhollow',
  sourceId: 'mine',
  lines: LINES,
  plan: PLAN,
  judged: NOBODY,
  ...given,
})

describe('judging a strategy', () => {
  it('shows a known item that is missed, where it is lost, and what its record says instead', async () => {
    const { records } = await sources.source('fernhollow')
    const missed = records.find(
      (r) =>
        /\breading\b/i.test(r.title) &&
        !/noise|babble/i.test(`${r.title} ${r.abstract} ${r.keywords.join(' ')}`) &&
        r.headings.length,
    )!
    const found = records.find((r) => /noise/i.test(r.title) && /\breading\b/i.test(r.title))!
    const judged = { ...NOBODY, known: [missed, found].map((r) => ({ id: `k${r.id}`, recordId: r.id })) }
    const { board } = (await desk.judge(search({ judged })))!
    expect(board.find((b) => b.id === `k${found.id}`)).toMatchObject({
      found: [true, true, true],
      atLast: true,
      lostAt: [],
      causes: [],
    })
    const row = board.find((b) => b.id === `k${missed.id}`)!
    expect(row).toMatchObject({
      title: missed.title,
      found: [false, true, false],
      atLast: false,
      lostAt: [1],
    })
    const [cause, ...others] = row.causes
    expect(others).toEqual([])
    expect(cause).toMatchObject({
      words: 'its record says other words for B Sound (line 1)',
      conceptId: 'b',
    })
    expect(cause!.headings.length).toBeGreaterThan(0)
    expect(cause!.names).not.toContain('reading')
    const said = foldLabel(`${missed.title} ${missed.keywords.join(' ')}`)
    for (const name of cause!.names) expect(said).toContain(name.replace(/"/g, ''))
  })

  it('counts what each term brings, and leaves a known item that the source does not hold off the board', async () => {
    const { board, yields } = (await desk.judge(
      search({ judged: { ...NOBODY, known: [{ id: 'k', recordId: 'nowhere' }] } }),
    ))!
    expect(board).toEqual([])
    expect(yields.map((y) => y.id)).toEqual(['noise', 'babble', 'sound', 'reading'])
    for (const y of yields) {
      expect(y.only).toBeLessThanOrEqual(y.hits)
      expect(y.onlyNear).toBeLessThanOrEqual(y.only)
    }
    expect(yields.find((y) => y.id === 'noise')!.only).toBeGreaterThan(0)
  })

  it('ends with nothing when it is told not to go on, and tells how far it is', async () => {
    const terms = Array.from({ length: 2500 }, (_, i) =>
      term(`t${i}`, 'b', `noise OR hum${i}* OR "traffic noise"`),
    )
    const asked: [number, number][] = []
    const stopped = await desk.judge(search({ plan: { ...PLAN, terms } }), (done, of) => {
      asked.push([done, of])
      return asked.length < 2
    })
    expect(stopped).toBeUndefined()
    expect(asked).toHaveLength(2)
    expect(asked[0]![0]).toBeLessThan(asked[1]![0])
    expect(asked[0]![1]).toBe(LINES.length + terms.length)
  })

  it('says nothing of a strategy without lines, but counts its terms', async () => {
    const judgement = (await desk.judge(search({ lines: [] })))!
    expect(judgement).toMatchObject({ remarks: [], board: [], nots: [] })
    expect(judgement.yields).toHaveLength(4)
  })

  it('tells what a NOT throws away', async () => {
    const lines = [{ ...LINES[0]!, text: 'text: noise NOT text: reading' }, ...LINES.slice(1)]
    const { nots, remarks } = (await desk.judge(search({ lines })))!
    expect(nots).toMatchObject([{ number: 1, without: 'text: reading' }])
    expect(nots[0]!.lost).toBe(nots[0]!.wantedByOthers)
    expect(new Set(remarks.map((r) => r.key)).size).toBe(remarks.length)
  })
})

describe('remarks on a strategy whose records lie outside', () => {
  const profile = { ...profileOf(STANDINS.find((s) => s.id === 'fernhollow')!), caps: { exported: 100 } }
  const OUTSIDE = { profile, sourceId: 'mine', plan: PLAN }

  it('come from the lines, the vocabulary and the hits that were logged', async () => {
    const lines = [
      { id: '1', text: 'heading: "Classroom sound"', limits: [], conceptId: 'b', hits: 900 },
      { id: '2', text: 'text: colour', limits: [], conceptId: 'c', hits: 0 },
      { id: '3', text: 'all(#1, #2, #9)', limits: [], hits: 900 },
    ]
    const remarks = await desk.remarks({ ...OUTSIDE, vocabulary: 'fernhollow', lines })
    expect(remarks.map((r) => r.code)).toEqual(
      expect.arrayContaining([
        'narrower-forgotten',
        'spelling-missing',
        'dead-line',
        'wrong-reference',
        'cap',
      ]),
    )
    expect(remarks.map((r) => r.code)).not.toContain('broken-line')
  })

  it('are also made from the records that were brought in: a word that none has, and one that brings noise', async () => {
    const { records } = await sources.source('fernhollow')
    const noise = records.filter((r) => /noise/i.test(`${r.title} ${r.abstract}`)).slice(0, 40)
    const babble = records.filter((r) => /homework/i.test(r.title)).slice(0, 20)
    const brought = [
      ...noise.map((record, i) => ({ record, ruled: i < 20 ? ('in' as const) : undefined })),
      ...babble.map((record) => ({ record, ruled: 'out' as const })),
    ]
    const lines = [{ id: '1', text: 'nosie OR noise OR homework', limits: [], conceptId: 'b', hits: 60 }]
    const remarks = await desk.remarks({ ...OUTSIDE, vocabulary: undefined, lines, brought })
    expect(remarks.find((r) => r.code === 'none-brought')).toMatchObject({
      message: `None of the ${brought.length} records that were brought in has nosie (line 1); “noise” may be meant.`,
      fixes: [{ text: 'noise OR noise OR homework' }],
    })
    expect(remarks.find((r) => r.code === 'noise-term')!.message).toMatch(
      /^homework in line 1 alone brings \d+ of those brought in; of \d+ that were ruled, \d+ were ruled out\.$/,
    )
    const none = await desk.remarks({ ...OUTSIDE, vocabulary: undefined, lines })
    expect(none.map((r) => r.code)).not.toContain('none-brought')
  })

  it('are none where there are no lines', async () => {
    expect(await desk.remarks({ ...OUTSIDE, vocabulary: undefined, lines: [] })).toEqual([])
  })
})

describe('steps to fewer or more', () => {
  it('are counted on the records, with the wanted ones that each keeps', async () => {
    const { records } = await sources.source('fernhollow')
    const wanted = records.filter((r) => /reading/i.test(r.title) && /noise/i.test(r.title)).map((r) => r.id)
    const offers = [{ conceptId: 'b', kind: 'text' as const, text: 'reverberation' }]
    const advised = (await desk.advise(search({ judged: { ...NOBODY, in: wanted } }), offers))!
    expect(advised.now!.wanted).toBe(wanted.length)
    expect(advised.fewer.find((s) => s.code === 'title-only' && s.conceptId === 'c')!.wanted).toBe(
      wanted.length,
    )
    expect(advised.more.find((s) => s.code === 'harvested')!.hits).toBeGreaterThan(advised.now!.hits)
    expect(advised.more.find((s) => s.code === 'planned-terms')).toBeUndefined()
  })

  it('leave what the source found for its lines in memory as it was', async () => {
    await desk.judge(search())
    const before = [...sources.cache('fernhollow').keys()]
    await desk.advise(search(), [])
    expect([...sources.cache('fernhollow').keys()]).toEqual(before)
  })

  it('end with nothing when they are told not to go on', async () => {
    const offers = Array.from({ length: 4000 }, (_, i) => ({
      conceptId: 'b',
      kind: 'text' as const,
      text: `noise${i}`,
    }))
    expect(await desk.advise(search(), offers, () => false)).toBeUndefined()
  })
})
