import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../../standins/profiles'
import { fold, type Command, type Line } from '../../review'
import { journalOf } from '../../review/commands.arbitrary'
import { keyOfRun, lineKeys, lineToSend, numbersThere } from '../../strategy'
import { putReadingRight, runOf, runReadOtherwise, writtenOtherwise } from '..'

const line = (id: string, text: string): Line => ({ id, text, limits: [], note: '', drafted: false })
const BEGUN: Command[] = [{ kind: 'review.create', payload: { id: 'r', title: 'Sound' } }]
const begun = fold(journalOf(BEGUN)).review
const source = { id: 's', name: 'Lantern Index', kind: 'database', why: '' } as const
const evidence = {}
let made = 0
const at = { review: begun, now: '2026-11-28T10:00:00Z', newId: () => `run-${++made}`, person: 'p-1' }
const ranThere = (lines: readonly Line[], of: Line, sent: string, hits: number, there?: number) =>
  runOf(at, { source, lines, line: of, sent, hits, release: '', how: 'by hand', evidence, there })

describe('the reading of what was sent elsewhere', () => {
  const lines = [line('a', 'noise*'), line('b', '#1 AND pupils')]
  const runs = [ranThere(lines, lines[0]!, 'noise+', 40), ranThere(lines, lines[1]!, 'L1 and pupils', 12)]
  const better = [line('a', 'noise?'), lines[1]!]
  const commands: Command[] = [
    ...BEGUN,
    { kind: 'source.set', payload: source },
    { kind: 'strategy.draft', payload: { sourceId: 's', lines: better } },
    ...runs.map((payload) => ({ kind: 'run.log', payload }) as const),
  ]
  const before = fold(journalOf(commands)).review
  it('is put right with a reason: text, hits and day stay, and nothing that reached it is stale', () => {
    const run = runReadOtherwise(before, better, better[0]!)!
    expect(run.sent).toBe('noise+')
    const after = fold(
      journalOf([
        ...commands,
        ...putReadingRight({ ...at, review: before }, { run, line: better[0]!, why: 'one letter' }),
      ]),
    ).review
    const keys = lineKeys(better)
    expect(after.runs.map((r) => keyOfRun(r) === keys.get(r.lineId))).toEqual([true, true])
    for (const [i, r] of after.runs.entries())
      expect(r).toMatchObject({ sent: runs[i]!.sent, hits: runs[i]!.hits, at: runs[i]!.at })
    expect(runReadOtherwise(after, better, better[0]!)).toBeUndefined()
  })
  it('is not asked about where the line asks what its run asked, or was run here', () => {
    expect(runReadOtherwise(before, better, better[1]!)).toBeUndefined()
    const here = { ...before, runs: before.runs.map((r) => ({ ...r, how: 'stand-in' as const })) }
    expect(runReadOtherwise(here, better, better[0]!)).toBeUndefined()
  })
})

it('says of a line that was sent otherwise than its database is written now', () => {
  const lines = [line('a', 'noise*')]
  const review = { ...begun, strategies: { s: lines }, runs: [ranThere(lines, lines[0]!, 'noise+', 40)] }
  expect(writtenOtherwise(review, lines, lines[0]!, 'noise^')?.sent).toBe('noise+')
  expect(writtenOtherwise(review, lines, lines[0]!, 'noise+')).toBeUndefined()
  const changed = [line('a', 'din')]
  expect(writtenOtherwise(review, changed, changed[0]!, 'din')).toBeUndefined()
})

describe('the numbers that lines have there', () => {
  const lines = [line('a', 'noise'), line('b', 'pupils'), line('c', '#1 AND #2'), line('d', 'any(#1-#3)')]
  it('are those noted, and go on from them after a slip', () => {
    const runs = [ranThere(lines, lines[0]!, 'noise', 9, 1), ranThere(lines, lines[1]!, 'pupils', 9, 3)]
    expect([1, 2, 3, 4].map(numbersThere(lines, runs))).toEqual([1, 3, 4, 5])
    expect(lineToSend(lines, 3, PROFILES.mindmere!, runs)!.text).toBe('row1 and row3')
    expect(lineToSend(lines, 4, PROFILES.mindmere!, runs)!.text).toBe('anyof<row1; row3 to row4>')
  })
  it('are our own where nothing is known', () => {
    expect(lineToSend(lines, 3, PROFILES.mindmere!)!.text).toBe('row1 and row2')
  })
})
