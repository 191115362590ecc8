import { describe, expect, it } from 'vitest'
import { fold, type Command, type Line, type Review } from '../../review'
import { journalOf } from '../../review/commands.arbitrary'
import { logAgain, logByHand, ranBefore, takeHistory, type Again } from '..'

const line = (id: string, text: string): Line => ({ id, text, limits: [], note: '', drafted: false })
const LINES = [line('a', 'noise'), line('b', 'pupils'), line('c', '#1 AND #2')]
const source = { id: 's', name: 'Lantern Index', kind: 'database', why: '' } as const
const BEGUN: Command[] = [
  { kind: 'review.create', payload: { id: 'r', title: 'Sound' } },
  { kind: 'source.set', payload: source },
  { kind: 'strategy.draft', payload: { sourceId: 's', lines: LINES } },
]
let made = 0
const at = (review: Review, day: string) => ({
  review,
  now: `${day}T10:00:00Z`,
  newId: () => `n${++made}`,
  person: 'p-1',
})
const count = (of: Line, hits: number) => ({
  ...{ source, lines: LINES, line: of, sent: of.text, hits, evidence: {} },
  ...{ ranBy: '', reader: 'M. Osei', platform: '', coverage: '' },
})
const after = (commands: readonly Command[]): Review => fold(journalOf([...commands])).review
const first = [
  ...BEGUN,
  ...LINES.flatMap((l, i) => logByHand(at(after(BEGUN), '2026-11-15'), count(l, 10 + i))),
]
const again = (commands: readonly Command[], of: Line, hits: number, as: Again, because = ''): Command[] => {
  const review = after(commands)
  const { run } = ranBefore(review, LINES, of)!
  return [
    ...commands,
    ...logAgain(at(review, '2026-11-28'), { ...count(of, hits), as, before: run, because }),
  ]
}

describe('a second run elsewhere', () => {
  it('is asked what it is: a line that was changed asks something else, and nothing is mistyped there', () => {
    const review = after(first)
    expect(ranBefore(review, LINES, LINES[0]!)?.mayBe).toEqual(['update', 'revised', 'mistyped'])
    const changed = [line('a', 'noise OR din'), ...LINES.slice(1)]
    expect(ranBefore(review, changed, changed[2]!)?.mayBe).toEqual(['revised', 'update'])
    expect(ranBefore(after(BEGUN), LINES, LINES[0]!)).toBeUndefined()
  })
  it('begins one update for all its lines, and another when a line is run once more', () => {
    const update = LINES.reduce((done, l, i) => again(done, l, 20 + i, 'update'), first)
    const review = after(update)
    expect(review.rounds.map((r) => r.kind)).toEqual(['update'])
    expect(review.runs.slice(3).map((r) => [r.roundId, r.hits])).toEqual(
      [20, 21, 22].map((n) => [review.rounds[0]!.id, n]),
    )
    expect(review.runs.slice(0, 3).every((r) => r.roundId === undefined)).toBe(true)
    expect(after(again(update, LINES[0]!, 31, 'update')).rounds).toHaveLength(2)
  })
  it('as another strategy begins no update; a mistyped count is corrected with its reason, and both are kept', () => {
    expect(after(again(first, LINES[0]!, 20, 'revised')).rounds).toEqual([])
    const review = after(again(first, LINES[0]!, 12, 'mistyped', 'read from another line'))
    expect(review.rounds).toEqual([])
    expect(review.runs.at(-1)).toMatchObject({
      hits: 12,
      because: 'read from another line',
      supersedes: review.runs[0]!.id,
    })
  })
  it('comes as a history too', () => {
    const runs = LINES.map((l) => ({ ...count(l, 5), release: '', how: 'pasted history' as const }))
    const taken = takeHistory(at(after(first), '2026-11-28'), { source, lines: LINES, runs, update: true })
    const review = after([...first, ...taken])
    expect(review.runs.slice(3).map((r) => r.roundId)).toEqual(Array(3).fill(review.rounds[0]!.id))
  })
})
