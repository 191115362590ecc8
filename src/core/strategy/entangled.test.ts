import { describe, expect, it } from 'vitest'
import { buildIndex } from '../engine'
import { parse } from '../query'
import { emptyRecord, toDocument } from '../records'
import { remarksIn } from './checks/checks.fixture'
import { PROFILES } from '../../standins/profiles'
import {
  conceptsBehind,
  countingLine,
  limitsInForce,
  limitsThatCount,
  lineKeys,
  lineToSend,
  linesThatCount,
  reachedBy,
  runStrategy,
  withNeeded,
  writtenOut,
} from '.'

/** Lines of which each is built of the two before it: written out, the last holds more words than there are atoms. */
const entangled = (join: (n: number) => string) =>
  Array.from({ length: 150 }, (_, i) => ({
    id: `l${i + 1}`,
    text: i < 2 ? (i ? 'room' : 'noise') : join(i),
    limits: i === 1 || i % 40 === 9 ? [{ kind: 'years' as const, from: 2000 }] : [],
    note: '',
    drafted: false,
    ...(i < 2 ? { conceptId: `c${i}` } : {}),
  }))
const JOINS = [
  (n: number) => `#${n} AND #${n - 1}`,
  (n: number) => `#${n} OR #${n - 1}`,
  (n: number) => `#${n} NOT #${n - 1}`,
  (n: number) => `any(#${n - 1}-#${n})`,
  (n: number) => `all(#1-#${n})`,
]

describe.each(JOINS.map((j) => [j(9), j] as const))('lines that are each built like %s', (_, join) => {
  const lines = entangled(join)
  const documents = ['noise in a room', 'noise', 'room', 'other'].map((title, n) =>
    toDocument(emptyRecord(`${n}`, title)),
  )

  it('have limits, keys, concepts and what they reach in no time', () => {
    expect(limitsInForce(lines)).toHaveLength(150)
    expect(limitsThatCount(lines).length).toBeLessThan(10)
    expect(new Set(lineKeys(lines)).size).toBeGreaterThan(2)
    const review = {
      strategies: { s: lines },
      imports: [],
      runs: [],
      counts: { s: { lineId: 'l150' } },
    } as never
    expect(linesThatCount(review, 's')?.size).toBeGreaterThan(0)
    expect(reachedBy(lines, 'l150').length).toBeLessThanOrEqual(150)
    expect(withNeeded(lines, new Set(['l150'])).length).toBeLessThanOrEqual(150)
    expect(conceptsBehind(lines, ['c0', 'c1']).length).toBe(150)
    expect(countingLine(review, 's')).toBeDefined()
  })

  it('are written for a database that keeps lines, and are not written out without end for one that does not', () => {
    const { lines: _, ...bare } = PROFILES.fernhollow!
    expect(lineToSend(lines, 150, PROFILES.fernhollow!)?.text.length).toBeLessThan(2000)
    const trees = lines.map((l) => parse(l.text).tree)
    // Up to here it is a query that somebody might send.
    expect(writtenOut(6, (n) => trees[n - 1])).toBeDefined()
    const sent = lineToSend(lines, 150, bare as never)
    if (sent && writtenOut(150, (n) => trees[n - 1]) === undefined)
      expect(sent.losses.map((l) => l.cause.code)).toContain('no-lines')
  })

  it('are judged', () => {
    expect(Array.isArray(remarksIn(PROFILES.fernhollow!)({ lines: lines.slice(0, 80) }))).toBe(true)
  })

  it('are run', () => {
    const found = runStrategy({ index: buildIndex(documents), options: {} } as never, lines)
    expect(found).toHaveLength(150)
  })
})

it('lines of concepts that have left the plan are judged all the same', () => {
  const lines = [
    { text: 'text: noise', conceptId: 'gone' },
    { text: 'text: room', conceptId: 'gone too' },
    { text: '#1 OR #2' },
    { text: '#1 AND #2' },
  ]
  for (const counts of [3, 4])
    expect(
      Array.isArray(remarksIn(PROFILES.fernhollow!)({ lines: lines.map((l) => ({ ...l })), counts })),
    ).toBe(true)
})
