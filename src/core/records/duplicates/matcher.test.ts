import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drain } from '../../base'
import { truthOf } from './dirt.fixture'
import { findPartition, Matcher } from './matcher'
import { wilson } from '../../base'
import { measurePairs } from './measure'
import { RULES } from './rules'

const { records } = truthOf(160, 11)

describe('records that come in several goes', () => {
  it('are told apart as if they had come at once, however they are parted and whatever their order', () => {
    const names = records.map((r) => r.name)
    const whole = findPartition(
      names,
      records.map((r) => r.record),
    )
    const key = (classes: readonly (readonly string[])[]): string[] =>
      classes.map((c) => [...c].sort().join(' ')).sort()
    fc.assert(
      fc.property(
        fc.shuffledSubarray(records, { minLength: records.length }),
        fc.array(fc.nat(records.length), { maxLength: 4 }),
        (shuffled, cuts) => {
          const matcher = new Matcher()
          const at = [0, ...cuts.sort((a, b) => a - b), shuffled.length]
          for (let n = 0; n + 1 < at.length; n++) {
            const part = shuffled.slice(at[n], at[n + 1])
            drain(
              matcher.add(
                part.map((r) => r.name),
                part.map((r) => r.record),
              ),
            )
          }
          const found = matcher.found()
          expect(key(found.classes)).toEqual(key(whole.classes))
          expect(found.toSettle).toEqual(whole.toSettle)
        },
      ),
      { numRuns: 25 },
    )
  })

  it('are the same also where a key becomes too common by what comes later', () => {
    const many = Array.from({ length: 260 }, (_, n) => ({
      ...records[0]!.record,
      id: String(n),
      doi: undefined,
      volume: undefined,
      pages: undefined,
      title: `${records[0]!.record.title} ${'abcdefghijklm'[n % 13]!.repeat(5)}`,
    }))
    const names = many.map((_, n) => `m/${n}`)
    const whole = findPartition(names, many)
    const matcher = new Matcher()
    drain(matcher.add(names.slice(0, 100), many.slice(0, 100)))
    drain(matcher.add(names.slice(100), many.slice(100)))
    expect(matcher.found()).toEqual(whole)
  })

  it('are in no class with a record that the rules forbid', () => {
    const prints = new Map(records.map((r) => [r.name, RULES.print(r.record)]))
    const { classes } = findPartition(
      records.map((r) => r.name),
      records.map((r) => r.record),
    )
    for (const c of classes)
      for (const a of c)
        for (const b of c) if (a < b) expect(RULES.judge(prints.get(a)!, prints.get(b)!).veto).toBeUndefined()
  })
})

describe('what was found, held against the truth', () => {
  it('is counted over all pairs after closure', () => {
    const truth = [['a', 'b', 'c'], ['d'], ['e', 'f']]
    expect(measurePairs(truth, [['a', 'b'], ['c', 'd'], ['e'], ['f']], [{ a: 'e', b: 'f' }])).toMatchObject({
      truePairs: 4,
      joinedPairs: 2,
      wrong: 1,
      precision: { value: 0.5 },
      certainRecall: { value: 0.25 },
      recall: { value: 0.5 },
    })
  })

  it('has the interval that Wilson gives (outside check: 10 of 10 from 0.7225, 5 of 10 from 0.2366 to 0.7634; Newcombe 1998, method 3)', () => {
    expect(wilson(10, 10).from).toBeCloseTo(0.7225, 4)
    expect(wilson(5, 10)).toMatchObject({ value: 0.5 })
    expect(wilson(5, 10).from).toBeCloseTo(0.2366, 4)
    expect(wilson(5, 10).to).toBeCloseTo(0.7634, 4)
  })
})
