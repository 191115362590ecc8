import { describe, expect, it } from 'vitest'
import { dateWords, someNamed, periodWords, searchedWords } from './words'

describe('the words of the account', () => {
  it('name six terms and count the rest, but never count a single one', () => {
    expect(someNamed([])).toBe('')
    expect(someNamed(['a', 'b', 'c'])).toBe('a, b and c')
    expect(someNamed([...'abcdefg'])).toBe('a, b, c, d, e, f and g')
    expect(someNamed([...'abcdefgh'])).toBe('a, b, c, d, e, f and two more')
    expect(someNamed(Array.from({ length: 300 }, (_, i) => `t${i}`))).toBe(
      't0, t1, t2, t3, t4, t5 and 294 more',
    )
  })

  it('say a day as it was written, in its own zone, and leave what is none', () => {
    expect(dateWords('2026-03-02T23:59:00-05:00')).toBe('2 March 2026')
    expect(dateWords('lately')).toBe('lately')
  })

  it('say a span of years as running text has it', () => {
    expect(periodWords({ kind: 'years', from: 2017, to: 2026 })).toBe('from 2017 to 2026')
    expect(periodWords({ kind: 'years', from: 2017 })).toBe('from 2017 on')
    expect(periodWords({ kind: 'years', to: 2026 })).toBe('up to 2026')
    expect(periodWords({ kind: 'peer reviewed' })).toBe('peer reviewed')
  })

  it('take days that are near each other as one time of searching', () => {
    expect(searchedWords(['2026-04-15', '2026-04-29'])).toBe('between 15 and 29 April 2026')
    expect(searchedWords(['2026-04-15', '2026-04-30'])).toBe('on 15 April 2026 and again on 30 April 2026')
  })
})
