import fc from 'fast-check'
import { expect, it } from 'vitest'
import { plainTitle, titleRuns } from './title-runs'

it('a title has its tags as styles, and keeps as letters what is not whole', () => {
  expect(titleRuns('<i>Parus</i> in H<sub>2</sub>O')).toEqual([
    { start: 3, end: 8, styles: ['i'] },
    { start: 12, end: 17, styles: [] },
    { start: 22, end: 23, styles: ['sub'] },
    { start: 29, end: 30, styles: [] },
  ])
  expect(plainTitle('<i>Parus</i> in <b><i>rooms</i></b>')).toBe('Parus in rooms')
  for (const text of ['<i>Parus', 'a </i>', 'x < y > z', '<i><b>x</i></b>', '<script>'])
    expect(plainTitle(text)).toBe(text)
  fc.assert(
    fc.property(fc.array(fc.constantFrom('<i>', '</i>', '<b>', '</b>', 'a', '<', ' ')), (parts) => {
      const text = parts.join('')
      const left = titleRuns(text)
      // Parts stand in their order, and nothing but tags is left out.
      expect(left.every((r, n) => r.start >= (left[n - 1]?.end ?? 0))).toBe(true)
      expect(plainTitle(text).replace(/<\/?[ib]>/g, '')).toBe(text.replace(/<\/?[ib]>/g, ''))
    }),
  )
})
