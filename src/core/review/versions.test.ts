import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { strategyVersions, lineVersions, runBefore, fold } from '.'
import { entryAfter, journalOf } from './journal.fixture'
import type { Command, Entry, Line, Run } from '.'

const line = (id: string, text: string): Line => ({ id, text, limits: [], note: '', drafted: false })
const run = (lineId: string, key: string, hits: number, at: string): Run => ({
  id: `${lineId}-${at}`,
  sourceId: 's',
  lineId,
  key,
  number: 1,
  text: key,
  sent: key,
  limits: [],
  hits,
  at,
  by: 'M. Osei',
  release: '2026-09',
  how: 'stand-in',
})
const journal = journalOf
const set = (...lines: Line[]): Command => ({ kind: 'strategy.draft', payload: { sourceId: 's', lines } })
const change = (id: string, text: string): Command => ({
  kind: 'line.change',
  payload: { sourceId: 's', id, text },
})
const log = (lineId: string, key: string, hits: number, minute: number): Command => ({
  kind: 'run.log',
  payload: run(lineId, key, hits, `2026-11-16T09:${String(minute).padStart(2, '0')}:00Z`),
})
const texts = (entries: readonly Entry[]): string[][] =>
  strategyVersions(entries, 's', fold(entries).review.strategies.s ?? []).map((v) =>
    v.lines.map((l) => l.text),
  )

describe('versions of a strategy', () => {
  it('are the states in which something was run, and the present one', () => {
    const entries = journal([
      set(line('a', 'noise'), line('b', 'rooms')),
      log('a', 'noise', 10, 1),
      log('b', 'rooms', 20, 2),
      change('a', 'noise OR babble'),
      change('a', 'noise OR hum'),
      log('a', 'noise OR hum', 12, 5),
      change('b', 'halls'),
    ])
    expect(texts(entries)).toEqual([
      ['noise', 'rooms'],
      ['noise OR hum', 'rooms'],
      ['noise OR hum', 'halls'],
    ])
    const [first, second, present] = strategyVersions(entries, 's', fold(entries).review.strategies.s!)
    expect([...first!.runs.values()].map((r) => r.hits)).toEqual([10, 20])
    expect(second!.at).toBe('2026-11-16T09:05:00Z')
    expect(present!.at).toBeUndefined()
  })

  it('leave out what was undone, unless it was run in between', () => {
    const undone = [
      set(line('a', 'noise')),
      log('a', 'noise', 1, 1),
      change('a', 'hum'),
      { kind: 'undo', payload: { seq: 2 } },
    ] as Command[]
    expect(texts(journal(undone))).toEqual([['noise']])
    const ran = [
      set(line('a', 'noise')),
      change('a', 'hum'),
      log('a', 'hum', 3, 2),
      { kind: 'undo', payload: { seq: 1 } },
    ] as Command[]
    expect(texts(journal(ran))).toEqual([['hum'], ['noise']])
  })

  it('end with what the fold of the journal says, whatever was done and undone', () => {
    const step = fc.oneof(
      fc
        .tuple(fc.constantFrom('a', 'b', 'c'), fc.constantFrom('noise', 'hum', '#1'))
        .map(([id, text]) => change(id, text)),
      fc.constant<Command>({ kind: 'line.remove', payload: { sourceId: 's', id: 'b' } }),
      fc.nat(3).map((to): Command => ({ kind: 'line.move', payload: { sourceId: 's', id: 'c', to } })),
      fc.constantFrom('undo', 'redo'),
      fc.constant(log('a', 'k', 1, 3)),
    )
    fc.assert(
      fc.property(fc.array(step, { maxLength: 25 }), (steps) => {
        let entries = journal([set(line('a', 'noise'), line('b', 'rooms'), line('c', 'all(#1-#2)'))])
        for (const s of steps) {
          const { done, undone } = fold(entries)
          const seq = s === 'undo' ? done.at(-1) : s === 'redo' ? undone.at(-1) : undefined
          if (typeof s === 'string' && seq === undefined) continue
          const command = typeof s === 'string' ? ({ kind: s, payload: { seq } } as Command) : s
          entries = [...entries, entryAfter(entries.at(-1), command)]
        }
        const present = fold(entries).review.strategies.s ?? []
        const versions = strategyVersions(entries, 's', present)
        if (present.length && versions.length) expect(versions.at(-1)!.lines).toEqual(present)
      }),
      { numRuns: 200 },
    )
  })
})

describe('versions of a line', () => {
  const runs = [
    run('a', 'noise', 10, '2026-11-16T09:00:00Z'),
    run('a', 'noise', 11, '2026-11-16T09:05:00Z'),
    run('b', 'rooms', 5, '2026-11-16T09:06:00Z'),
    run('a', 'noise OR hum', 14, '2026-11-16T09:07:00Z'),
  ]
  it('take runs of the same question together, the latest counting', () => {
    expect(lineVersions(runs, 'a').map((v) => [v.text, v.hits])).toEqual([
      ['noise', 11],
      ['noise OR hum', 14],
    ])
    expect(lineVersions(runs, 'none')).toEqual([])
  })
  it('say what a line found before it was changed', () => {
    expect(runBefore(runs, runs[3]!)?.hits).toBe(11)
    expect(runBefore(runs, runs[2]!)).toBeUndefined()
  })
})
