import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { KINDS } from '../review'
import { beginWalk, goOn, isStopDone, readWalk, stopOf, STOPS, type Walk } from './walk'

describe('the walk through the demo', () => {
  it('has eight to ten stops, at all six stages in their order, each of which but the last does something', () => {
    expect(STOPS.length).toBeGreaterThanOrEqual(8)
    expect(STOPS.length).toBeLessThanOrEqual(10)
    const stages = STOPS.map((s) => s.stage)
    const order = ['question', 'terms', 'searches', 'records', 'selection', 'methods']
    expect([...new Set(stages)]).toEqual(order)
    expect(stages.map((s) => order.indexOf(s))).toEqual(stages.map((s) => order.indexOf(s)).toSorted())
    for (const { does } of STOPS.slice(0, -1)) expect(does.length).toBeGreaterThan(0)
    for (const { does } of STOPS) for (const kind of does) expect(KINDS).toHaveProperty([kind])
  })

  it('knows what was done at a stop by what came into the journal since, and by nothing from before', () => {
    const entries = [{ kind: 'known.add' }, { kind: 'term.set' }]
    const walk = beginWalk(1)
    expect(isStopDone(walk, entries)).toBe(false)
    expect(isStopDone(walk, [...entries, { kind: 'known.add' }])).toBe(true)
    expect(isStopDone(beginWalk(0), entries)).toBe(true)
    // An entry that an undo took away is not there any more.
    expect(isStopDone(beginWalk(5), entries)).toBe(false)
  })

  it('is gone on with and back, whatever was done, until it ends behind the last stop', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(1 as const, -1 as const), { maxLength: 40 }), (steps) => {
        let walk: Walk | undefined = beginWalk(0)
        for (const [n, by] of steps.entries()) {
          const at: number | undefined = walk?.stop
          walk = walk && goOn(walk, n, by)
          if (at === undefined) continue
          expect(walk?.stop).toBe(at + by === STOPS.length ? undefined : Math.max(0, at + by))
          if (walk) expect(stopOf(walk)).toBeDefined()
        }
      }),
    )
  })

  it('is taken up where it was left, and begun anew where what was kept is none', () => {
    expect(readWalk({ stop: 3, from: 910 })).toEqual({ stop: 3, from: 910 })
    for (const none of [undefined, null, 3, {}, { stop: -1, from: 0 }, { stop: 99, from: 0 }, { stop: 1 }])
      expect(readWalk(none)).toBeUndefined()
  })
})
