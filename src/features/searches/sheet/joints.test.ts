import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { jointsOf } from './joints'

describe('the joints in the margin of a sheet', () => {
  it('lead from the lines that feed to the line that is fed, side by side where they would cross', () => {
    expect(jointsOf(['noise', 'hum', 'any(#1-#2)', 'reading', 'all(#3, #4)'])).toEqual([
      { from: 1, to: 3, lane: 0 },
      { from: 2, to: 3, lane: 0 },
      { from: 3, to: 5, lane: 0 },
      { from: 4, to: 5, lane: 0 },
    ])
    expect(jointsOf(['a', 'b', '#1', '#2']).map((j) => j.lane)).toEqual([0, 1])
  })

  it('are none for what cannot be read, refers forward or to itself', () => {
    expect(jointsOf(['noise AND (', '#2', '#9', ''])).toEqual([])
  })

  it('never lie on each other in one lane, unless they lead to the same line', () => {
    const anyStrategy = fc.array(fc.array(fc.nat(20), { maxLength: 3 }), { maxLength: 14 }).map((lists) =>
      lists.map((refs, i) => {
        const above = refs.filter((n) => n >= 1 && n <= i)
        return above.length ? `any(${above.map((n) => `#${n}`).join(', ')})` : 'noise'
      }),
    )
    fc.assert(
      fc.property(anyStrategy, (texts) => {
        const joints = jointsOf(texts)
        for (const a of joints)
          for (const b of joints)
            if (a.lane === b.lane && a.to !== b.to) expect(a.to <= b.from || b.to <= a.from).toBe(true)
      }),
    )
  })
})
