import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dayOrderOf, readCount, readLineNumber, readWhen, recogniseHistory } from '.'

describe('the cells of a history', () => {
  it('reads counts as people write them, and no others', () => {
    for (const [text, count] of [
      ['1,204', 1204],
      ['1.204.311', 1204311],
      ['1 204', 1204],
      ['1’204', 1204],
      ['(318 records)', 318],
      ['n = 7', 7],
      ['0', 0],
    ] as const)
      expect(readCount(text)).toBe(count)
    for (const text of ['', 'about 1200', '1.2k', '12,04', '1,204.311', 'noise', '-3'])
      expect(readCount(text)).toBeUndefined()
  })

  it('reads line numbers with a sign or a word before them', () => {
    for (const text of ['3', '#3', 'L3', '3.', '(3)', 'Line 3', '☐ 3']) expect(readLineNumber(text)).toBe(3)
    for (const text of ['0', 'noise', '3 noise', '12345']) expect(readLineNumber(text)).toBeUndefined()
  })

  it('reads days in several forms, but not one that may mean two days', () => {
    for (const text of ['2026-03-12', '12.03.2026', '12 March 2026', 'Mar 12, 2026'])
      expect(readWhen(text)).toBe('2026-03-12')
    expect(readWhen('12 Mar 2026, 2:05 pm')).toBe('2026-03-12T14:05')
    expect(readWhen('2026-03-12T09:30:11')).toBe('2026-03-12T09:30')
    expect(readWhen('03/12/2026')).toBeUndefined()
  })
})

describe('days that may mean two days', () => {
  const table = (...days: string[]): string =>
    days.map((d, i) => `${i + 1}\tnoise\t${i + 10}\t${d}`).join('\n')
  const whens = (text: string, order?: 'day first' | 'month first') =>
    recogniseHistory(text, { order }).rows.map((r) => r.when)

  it('are read where one of them can be no month', () => {
    expect(whens(table('03/12/2026 14:05', '13/12/2026 09:00'))).toEqual([
      '2026-12-03T14:05',
      '2026-12-13T09:00',
    ])
    expect(whens(table('03/12/2026', '03/13/2026'))).toEqual(['2026-03-12', '2026-03-13'])
    expect(whens(table('3-2-2026', '25-2-2026'))).toEqual(['2026-02-03', '2026-02-25'])
  })

  it('are read where only one order keeps going one way in time', () => {
    expect(whens(table('01/11/2026', '02/11/2026', '01/12/2026'))).toEqual([
      '2026-11-01',
      '2026-11-02',
      '2026-12-01',
    ])
    expect(whens(table('04/04/2026'))).toEqual(['2026-04-04'])
  })

  it('are left open, and said so, where both would do, until somebody says which is meant', () => {
    const text = table('03/12/2026', '03/12/2026')
    const history = recogniseHistory(text)
    expect(history.dayOrder).toBe('unclear')
    expect(history.rows.map((r) => [r.when, r.day])).toEqual([
      [undefined, '03/12/2026'],
      [undefined, '03/12/2026'],
    ])
    expect(history.problems.map((p) => p.code)).toEqual(['day-unclear'])
    expect(whens(text, 'day first')).toEqual(['2026-12-03', '2026-12-03'])
    expect(whens(text, 'month first')).toEqual(['2026-03-12', '2026-03-12'])
    expect(recogniseHistory(text, { order: 'day first' }).problems).toEqual([])
  })

  it('are not read into the future', () => {
    const text = table('03/12/2026', '03/12/2026')
    const days = (today: string) => recogniseHistory(text, { today }).rows.map((r) => r.when)
    expect(days('2026-11-25')).toEqual(['2026-03-12', '2026-03-12'])
    expect(days('2026-12-03')).toEqual([undefined, undefined])
    expect(days('2026-01-01')).toEqual([undefined, undefined])
  })

  it('are not looked for where days are written another way', () => {
    expect(dayOrderOf(['2026-03-12', '12 March 2026'])).toBeUndefined()
    expect(dayOrderOf([])).toBeUndefined()
    expect(recogniseHistory(table('2026-03-12')).dayOrder).toBeUndefined()
  })

  it('are read back in the order in which they were written, whenever they tell it', () => {
    const day = fc.date({ min: new Date('2026-01-01'), max: new Date('2026-12-31'), noInvalidDate: true })
    fc.assert(
      fc.property(fc.array(day, { minLength: 2, maxLength: 8 }), fc.boolean(), (days, dayFirst) => {
        const sorted = days.map((d) => d.toISOString().slice(0, 10)).sort()
        const written = sorted.map((iso) => {
          const [y, m, d] = iso.split('-')
          return dayFirst ? `${d}/${m}/${y}` : `${m}/${d}/${y}`
        })
        const order = dayOrderOf(written)
        if (order === 'unclear') return
        // Twelve and twelve say the same in both orders.
        expect(written.map((t) => readWhen(t, order))).toEqual(sorted)
      }),
    )
  })
})
