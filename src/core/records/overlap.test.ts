import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { overlapOf } from './overlap'
import { drawOverlap } from './overlap-drawing'

const works = (...sets: string[]) => sets.map((s) => ({ sources: s.split('') }))

describe('what sources have in common', () => {
  it('is counted by the sources of each work, in the order of searching', () => {
    const o = overlapOf(works('a', 'a', 'ab', 'b', 'abc', 'c'), ['a', 'b', 'c', 'd'])
    expect(o.sources).toEqual([
      { id: 'a', works: 4, alone: 2, shared: 0.5, added: 4, known: 4 },
      { id: 'b', works: 3, alone: 1, shared: 2 / 3, added: 1, known: 5 },
      { id: 'c', works: 2, alone: 1, shared: 0.5, added: 1, known: 6 },
      { id: 'd', works: 0, alone: 0, shared: 0, added: 0, known: 6 },
    ])
    expect(o.sets.map((s) => [s.sources.join(''), s.works])).toEqual([
      ['a', 2],
      ['ab', 1],
      ['abc', 1],
      ['b', 1],
      ['c', 1],
    ])
    expect(o.foundIn).toEqual([4, 1, 1])
  })

  it('adds up for any works: sets, steps of gain and counts by number of sources each make all works', () => {
    const source = fc.constantFrom(...'abcde')
    const any = fc.array(fc.record({ sources: fc.array(source, { minLength: 1, maxLength: 6 }) }), {
      maxLength: 40,
    })
    fc.assert(
      fc.property(any, fc.shuffledSubarray([...'abcde']), (list, order) => {
        const o = overlapOf(list, order)
        const sum = (ns: readonly number[]): number => ns.reduce((a, b) => a + b, 0)
        expect(o.works).toBe(list.length)
        expect(sum(o.sets.map((s) => s.works))).toBe(list.length)
        expect(sum(o.sources.map((s) => s.added))).toBe(list.length)
        expect(sum(o.foundIn)).toBe(list.length)
        for (const s of o.sources) {
          expect(s.works).toBe(list.filter((w) => w.sources.includes(s.id)).length)
          expect(s.alone).toBe(o.sets.find((x) => x.sources.join() === s.id)?.works ?? 0)
        }
      }),
    )
  })

  it('is drawn with room above for its longest name, and one that is too long can be read whole', () => {
    const names: Record<string, string> = { a: 'A', b: 'The reference lists of works kept & read by hand' }
    const svg = drawOverlap(overlapOf(works('a', 'b', 'ab'), ['a', 'b']), (id) => names[id]!)
    expect(svg).toContain('<title>The reference lists of works kept &amp; read by hand</title>')
    expect(svg).toContain('>The reference lists of works kept…<')
    // Letters of twelve points are at most about seven wide, and stand at 52 degrees.
    const [, top] = /translate\([\d.]+ ([\d.]+)\)/.exec(svg)!
    expect(Number(top)).toBeGreaterThan('The reference lists of works kept…'.length * 6 * 0.788)
  })

  it('is nothing where there are no works', () => {
    expect(overlapOf([], ['a'])).toMatchObject({ works: 0, sets: [], foundIn: [] })
  })
})
