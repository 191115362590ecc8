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

  it('loses no value of a tag that comes again, and reads small tags', () => {
    const { records, problems } = readRis(`ty  - JOUR
ti  - Ceilings that listen
PY  - 2019/03/01
PY  - 2020
DO  - 10.5555/a
DO  - 10.5555/b
SN  - 0378-5955
SN  - 1234-5678
UR  - https://example.org/1
UR  - https://example.org/2
VL  - 7
VL  - 8
M3  - doi:10.5555/c
TI  - Another title
er  - 
`)
    expect(problems).toEqual([])
    expect(records[0]).toMatchObject({
      title: 'Ceilings that listen',
      year: 2019,
      doi: '10.5555/a',
      issn: '0378-5955',
      issued: '2019-03-01',
      url: 'https://example.org/1',
      urls: ['https://example.org/2'],
      volume: '7',
      type: 'journal article',
      extra: {
        PY: ['2020'],
        DO: ['10.5555/b'],
        SN: ['1234-5678'],
        VL: ['8'],
        M3: ['doi:10.5555/c'],
        TI: ['Another title'],
      },
    })
  })

  it('keeps every word of a record, whatever its tags, and reads its own writing back (law 8)', () => {
    const tag = fc.constantFrom(
      ...'TI T1 AU A1 AB N2 KW T2 JO JF PY Y1 VL IS SP EP LA DO SN UR M3 C7 N1 A2 PB CY zz kw'.split(' '),
    )
    const value = fc.constantFrom(
      ...[
        'Noise',
        'noise; babble',
        '2019',
        '2019/03/01',
        'soon',
        '7',
        '10.5555/x',
        'doi:10.5555/y',
        'German',
        'en',
      ],
      ...['Report', 'report', '0378-5955', 'https://example.org/1', 'a b c'],
    )
    fc.assert(
      fc.property(
        fc.array(fc.tuple(tag, value, fc.option(fc.constantFrom('goes on here', 'and here'))), {
          maxLength: 14,
        }),
        fc.constantFrom('JOUR', 'CONF', 'CPAPER', 'GEN', 'XYZ'),
        (rows, type) => {
          const text = [
            `TY  - ${type}`,
            'ID  - r1',
            ...rows.map(([t, v, more]) => `${t}  - ${v}${more === null ? '' : `\n   ${more}`}`),
            'ER  - ',
            '',
          ].join('\n')
          const { records } = readRis(text)
          const all = JSON.stringify(records).toLowerCase()
          for (const [, v, more] of rows)
            for (const word of `${v} ${more ?? ''}`.trim().split(/[;\s]+/))
              // A language is kept by its code, a day with dashes.
              expect(
                (word === 'German'
                  ? ['"de"', 'german']
                  : word === '2019/03/01'
                    ? ['2019-03-01', word]
                    : [word.toLowerCase().replace(/^doi:/, '')]
                ).some((w) => all.includes(w)),
              ).toBe(true)
          expect(readRis(writeRis(records)).records).toEqual(records)
        },
      ),
      {
        numRuns: 1500,
        // Two types in words, the first of which has a code of its own.
        examples: [
          [
            [
              ['M3', 'report', null],
              ['M3', 'Noise', null],
            ],
            'JOUR',
          ],
          // Nothing but a type, in words.
          [[['M3', 'report', null]], 'JOUR'],
        ],
      },
    )
  })

  it('takes many lines that go on with one value in linear time: ten times the lines, far from a hundred times the work', () => {
    const lines = (n: number): string => `TY  - JOUR\nAB  - a\n${'  goes on\n'.repeat(n)}ER  - \n`
    expect(readRis(lines(70_000)).records[0]!.abstract!.length).toBe(1 + 70_000 * 8)
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
      ['ris-unended', 'line 6'],
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
