import { describe, expect, it } from 'vitest'
import { parse } from '../../query'
import { peekedTerms, peekedWith, peekedWithout } from './peeked'

describe('what was chosen in a look at a line', () => {
  it('becomes a line with it, and one without it', () => {
    const chosen = { heading: ['Noise (sound)'], keyword: ['hum*'], place: ['Norway'] }
    expect(peekedWith(3, chosen)).toEqual({
      text: '#3 AND (heading: "Noise (sound)" OR keywords: "hum " OR place: "Norway")',
      limits: [],
    })
    expect(peekedWithout(3, { heading: ['Noise'] })).toEqual({ text: '#3 NOT heading: "Noise"', limits: [] })
    for (const line of [peekedWith(3, chosen), peekedWithout(3, chosen)!])
      expect(parse(line.text).problems).toEqual([])
  })

  it('is a limit where a limit can say it: no words leave out a year', () => {
    expect(peekedWith(2, { year: ['2019', '2021', '2020'], language: ['en'], type: ['thesis'] })).toEqual({
      text: '#2',
      limits: [
        { kind: 'years', from: 2019, to: 2021 },
        { kind: 'language', values: ['en'] },
        { kind: 'document type', values: ['thesis'] },
      ],
    })
    expect(peekedWithout(2, { year: ['2019'] })).toBeUndefined()
  })

  it('goes into the grid: a heading for its source, keywords as words for every one', () => {
    const at = { conceptId: 'c', sourceId: 'fen', from: 'line 2 of Fen' }
    const terms = peekedTerms({ heading: ['Noise'], keyword: ['sound field', 'hum'], year: ['2020'] }, at)
    expect(terms.map(({ sourceId, kind, expression }) => `${sourceId} ${kind} ${expression}`)).toEqual([
      'fen heading Noise',
      'all text "sound field"',
      'all text hum',
    ])
  })
})
