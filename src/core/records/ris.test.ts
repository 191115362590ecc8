import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readRis, whereFrom, whoAndWhen, writeRis } from '.'

const FULL = `TY  - JOUR
ID  - r1
TI  - Ceilings that listen
AU  - Ahola, R.
A1  - Prins, D.
PY  - 2019/03/01
T2  - Journal of Learning Spaces
VL  - 7
IS  - 2
SP  - 41
EP  - 58
N2  - Twelve classrooms
  in four schools.
KW  - noise; babble
KW  - ceilings
LA  - German
DO  - https://doi.org/10.5555/jls.2019.0207
SN  - 0378-5955
C7  - kept as it is
ER  - 
`

describe('RIS', () => {
  it('reads every tag that means something here and keeps the rest', () => {
    const { records, problems } = readRis(FULL)
    expect(problems).toEqual([])
    expect(records[0]).toMatchObject({
      id: 'r1',
      title: 'Ceilings that listen',
      authors: ['Ahola, R.', 'Prins, D.'],
      year: 2019,
      journal: 'Journal of Learning Spaces',
      pages: '41–58',
      abstract: 'Twelve classrooms in four schools.',
      keywords: ['noise', 'babble', 'ceilings'],
      language: 'de',
      doi: '10.5555/jls.2019.0207',
      type: 'journal article',
      extra: { C7: ['kept as it is'] },
    })
    expect(whoAndWhen(records[0]!)).toBe('Ahola & Prins (2019)')
    expect(whereFrom(records[0]!)).toBe('Journal of Learning Spaces 7(2), 41–58')
  })

  it('writes what it read so that reading again gives the same, unknown tags included (law 8)', () => {
    const { records } = readRis(FULL)
    expect(readRis(writeRis(records)).records).toEqual(records)
  })

  it('numbers records without ID by their position from 1', () => {
    expect(
      readRis('TY  - JOUR\nTI  - a\nER  - \nTY  - JOUR\nTI  - b\nER  -').records.map((r) => r.id),
    ).toEqual(['1', '2'])
  })

  it('names what is damaged with its line, and reads the rest', () => {
    const { records, problems } = readRis('stray\nTY  - JOUR\nTI  - a\nPY  - soon\nTY  - JOUR\nTI  - b\n')
    expect(records.map((r) => r.title)).toEqual(['a', 'b'])
    expect(problems.map((p) => [p.code, p.at])).toEqual([
      ['ris-stray', 'line 1'],
      ['ris-unended', 'line 5'],
      ['ris-year', 'line 4'],
      ['ris-unended', 'line 7'],
    ])
    expect(records[0]!.extra).toEqual({ PY: ['soon'] })
  })

  it('takes other line ends and a byte order mark', () => {
    expect(readRis(`\uFEFF${FULL.replace(/\n/g, '\r\n')}`).records[0]!.title).toBe('Ceilings that listen')
  })

  it('reads any text without throwing, and says so where there is no record', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        readRis(text)
      }),
    )
    expect(readRis('nothing here').problems.map((p) => p.code)).toContain('ris-empty')
  })
})
