import { describe, expect, it } from 'vitest'
import { fold, type Command, type Line, type Review } from '../../review'
import { journalOf } from '../../review/commands.arbitrary'
import { importOf, logByHand, sheetsStand, toBring } from '..'

const line = (id: string, text: string): Line => ({ id, text, limits: [], note: '', drafted: false })
const source = (id: string) => ({ id, name: `${id} Index`, kind: 'database', why: '' }) as const
const LINES = (id: string): Line[] => [line(`${id}1`, 'noise'), line(`${id}2`, '#1 AND pupils')]
const after = (commands: readonly Command[]): Review => fold(journalOf([...commands])).review
let made = 0
const at = (review: Review) => ({
  review,
  now: '2026-11-28T10:00:00Z',
  newId: () => `n${++made}`,
  person: 'p-1',
})
const BEGUN: Command[] = [
  { kind: 'review.create', payload: { id: 'r', title: 'Sound' } },
  ...['a', 'b'].flatMap((id): Command[] => [
    { kind: 'source.set', payload: source(id) },
    { kind: 'strategy.draft', payload: { sourceId: id, lines: LINES(id) } },
  ]),
]
const ran = (commands: readonly Command[], id: string, hits: readonly number[]): Command[] =>
  hits.reduce<Command[]>(
    (done, n, i) => {
      const of = LINES(id)[i]!
      return [
        ...done,
        ...logByHand(at(after(done)), {
          ...{ source: source(id), lines: LINES(id), line: of, sent: of.text, hits: n, evidence: {} },
          ...{ ranBy: '', reader: 'M. Osei', platform: '', coverage: '' },
        }),
      ]
    },
    [...commands],
  )
const bringing = (commands: readonly Command[]): [string, number][] =>
  toBring(after(commands), ['a', 'b']).map(({ source: s, run }) => [s.id, run.hits])

describe('what can be brought in together', () => {
  it('is what the line that counts found, where it was run', () => {
    expect(bringing(BEGUN)).toEqual([])
    expect(bringing(ran(BEGUN, 'a', [90]))).toEqual([])
    expect(bringing(ran(ran(BEGUN, 'a', [90, 12]), 'b', [80, 7]))).toEqual([
      ['a', 12],
      ['b', 7],
    ])
    expect(toBring(after(ran(BEGUN, 'a', [90, 12])), ['b'])).toEqual([])
  })
  it('is nothing of a line that was changed since, found nothing, or whose records are here', () => {
    const both = ran(ran(BEGUN, 'a', [90, 12]), 'b', [80, 0])
    expect(bringing(both)).toEqual([['a', 12]])
    const changed: Command = { kind: 'line.change', payload: { sourceId: 'a', id: 'a1', text: 'din' } }
    expect(bringing([...both, changed])).toEqual([])
    const { run } = toBring(after(both), ['a'])[0]!
    const brought = importOf(at(after(both)), {
      ...{ sourceId: 'a', at: { digest: 'ab'.repeat(32) } as never, count: 12, runId: run.id },
    })
    expect(bringing([...both, brought])).toEqual([])
  })
})

it('the sheets stand as they were run: what changed since is stale, what is outside is to be logged', () => {
  const here = [
    { id: 'a', searched: true },
    { id: 'b', searched: false },
    { id: 'c', searched: true },
  ]
  expect(sheetsStand(after(BEGUN), here)).toEqual({ stale: 2, elsewhere: 2, undrafted: 1 })
  const both = ran(ran(BEGUN, 'a', [90, 12]), 'b', [80])
  expect(sheetsStand(after(both), here)).toEqual({ stale: 0, elsewhere: 1, undrafted: 1 })
  const changed: Command = { kind: 'line.change', payload: { sourceId: 'a', id: 'a1', text: 'din' } }
  // The line that joins is built of it.
  expect(sheetsStand(after([...both, changed]), here).stale).toBe(2)
  const described: Command = {
    kind: 'line.change',
    payload: { sourceId: 'a', id: 'a1', text: '', described: 'browsed' },
  }
  expect(sheetsStand(after([...both, described]), here).stale).toBe(1)
})
