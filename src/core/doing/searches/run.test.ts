import { expect, it } from 'vitest'
import type { Line, Review, Source } from '../../review'
import { runOf, takeHistory, type RunMade } from './run'

const line: Line = { id: 'l2', text: 'noise', limits: [], note: '', drafted: false }
const lines = [{ ...line, id: 'l1' }, line]
const source: Source = { id: 's', kind: 'database', name: 'Lantern Index', why: '' }
const at = {
  review: { rounds: [], people: [] } as unknown as Review,
  now: '2026-11-30T09:00:00Z',
  newId: () => 'x',
  person: 'p',
}
const made = (there?: number): RunMade => ({
  ...{ source, lines, line, sent: 'noise', hits: 4, release: '', how: 'pasted history' },
  evidence: {} as never,
  there,
})

it('keeps the number that a line had there, where it is another than its own', () => {
  expect(runOf(at, made(7))).toMatchObject({ number: 2, there: '7' })
  expect(runOf(at, made(2))).not.toHaveProperty('there')
  expect(runOf(at, made())).not.toHaveProperty('there')
})

it('takes a history over with its lines first, so that each run has one to stand on', () => {
  const commands = takeHistory(at, { source, lines, runs: [made(7)] })
  expect(commands.map((c) => c.kind)).toEqual(['strategy.set', 'run.log'])
})
